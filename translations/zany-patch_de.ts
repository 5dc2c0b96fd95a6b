<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" sourcelanguage="en" language="de">
  <context>
    <name>zp</name>
    <message>
      <source>
r %1 [%2, %3]</source>
      <translation>
r %1 [%2, %3]</translation>
    </message>
    <message>
      <source>              Water   Reed   Wood
Water            28      2      0
Reed              1     25      4
Wood              0      3     27</source>
      <translation>              Wasser  Schilf  Wald
Wasser            28      2      0
Schilf             1     25      4
Wald               0      3     27</translation>
    </message>
    <message>
      <source> (changed since)</source>
      <translation> (seither geändert)</translation>
    </message>
    <message>
      <source> (character %1)</source>
      <translation> (Zeichen %1)</translation>
    </message>
    <message>
      <source> (in the bin)</source>
      <translation> (im Papierkorb)</translation>
    </message>
    <message>
      <source> Did you mean “{}”?</source>
      <translation> Meinten Sie „{}“?</translation>
    </message>
    <message>
      <source> Its place is corrected by %1, %2.</source>
      <translation> Die Lage ist um %1, %2 berichtigt.</translation>
    </message>
    <message>
      <source> The labelling is closed.</source>
      <translation> Die Bestimmung ist abgeschlossen.</translation>
    </message>
    <message>
      <source> The roles here are {}.</source>
      <translation> Die Rollen hier sind {}.</translation>
    </message>
    <message>
      <source> The scene has no band roles yet.</source>
      <translation> Die Szene hat noch keine Bandrollen.</translation>
    </message>
    <message>
      <source> They are not shown on a class map until then.</source>
      <translation> Bis dahin sind sie auf keiner Klassenkarte zu sehen.</translation>
    </message>
    <message>
      <source> days</source>
      <translation> Tage</translation>
    </message>
    <message>
      <source> ha</source>
      <translation> ha</translation>
    </message>
    <message>
      <source> of %1</source>
      <translation> von %1</translation>
    </message>
    <message>
      <source> pixels</source>
      <translation> Pixel</translation>
    </message>
    <message>
      <source> pixels wider</source>
      <translation> Pixel breiter</translation>
    </message>
    <message>
      <source> px</source>
      <translation> px</translation>
    </message>
    <message>
      <source> · R² %1 · RMSE %2</source>
      <translation> · R² %1 · RMSE %2</translation>
    </message>
    <message>
      <source> · about %1 min to go</source>
      <translation> · noch etwa %1 min</translation>
    </message>
    <message>
      <source> · rank r %1</source>
      <translation> · Rang-r %1</translation>
    </message>
    <message>
      <source>% of the area</source>
      <translation>% der Fläche</translation>
    </message>
    <message>
      <source>%1  (the study area)</source>
      <translation>%1  (das Untersuchungsgebiet)</translation>
    </message>
    <message>
      <source>%1 %</source>
      <translation>%1 %</translation>
    </message>
    <message>
      <source>%1 % (%2 to %3)</source>
      <translation>%1 % (%2 bis %3)</translation>
    </message>
    <message>
      <source>%1 % around</source>
      <translation>%1 % ringsum</translation>
    </message>
    <message>
      <source>%1 % cloud</source>
      <translation>%1 % Wolken</translation>
    </message>
    <message>
      <source>%1 % drawn</source>
      <translation>%1 % gezeichnet</translation>
    </message>
    <message>
      <source>%1 % edge</source>
      <translation>%1 % Rand</translation>
    </message>
    <message>
      <source>%1 % flagged</source>
      <translation>%1 % gekennzeichnet</translation>
    </message>
    <message>
      <source>%1 % of the pixels are usable.</source>
      <translation>%1 % der Pixel sind brauchbar.</translation>
    </message>
    <message>
      <source>%1 % of the pixels are usable; set aside: %2.</source>
      <translation>%1 % der Pixel sind brauchbar; ausgenommen: %2.</translation>
    </message>
    <message>
      <source>%1 % set aside</source>
      <translation>%1 % ausgenommen</translation>
    </message>
    <message>
      <source>%1 % usable</source>
      <translation>%1 % brauchbar</translation>
    </message>
    <message>
      <source>%1 (%2 to %3)</source>
      <translation>%1 (%2 bis %3)</translation>
    </message>
    <message>
      <source>%1 (%2)</source>
      <translation>%1 (%2)</translation>
    </message>
    <message>
      <source>%1 (no %2)</source>
      <translation>%1 (kein %2)</translation>
    </message>
    <message>
      <source>%1 GB</source>
      <translation>%1 GB</translation>
    </message>
    <message>
      <source>%1 MB</source>
      <translation>%1 MB</translation>
    </message>
    <message>
      <source>%1 against %2</source>
      <translation>%1 gegen %2</translation>
    </message>
    <message>
      <source>%1 and %2</source>
      <translation>%1 und %2</translation>
    </message>
    <message>
      <source>%1 and %2 more</source>
      <translation>%1 und %2 weitere</translation>
    </message>
    <message>
      <source>%1 and %2 say the same at &lt;b&gt;%3&lt;/b&gt; of %4 points (%5 to %6)</source>
      <translation>%1 und %2 sagen dasselbe an &lt;b&gt;%3&lt;/b&gt; von %4 Punkten (%5 bis %6)</translation>
    </message>
    <message>
      <source>%1 becomes %2.</source>
      <translation>%1 wird zu %2.</translation>
    </message>
    <message>
      <source>%1 by %2</source>
      <translation>%1 nach %2</translation>
    </message>
    <message>
      <source>%1 by band, %2</source>
      <translation>%1 nach Band, %2</translation>
    </message>
    <message>
      <source>%1 by band, before (grey) and after</source>
      <translation>%1 nach Band, vorher (grau) und nachher</translation>
    </message>
    <message>
      <source>%1 by date</source>
      <translation>%1 nach Datum</translation>
    </message>
    <message>
      <source>%1 by rules</source>
      <translation>%1 nach Regeln</translation>
    </message>
    <message>
      <source>%1 by wavelength in nm, %2</source>
      <translation>%1 nach Wellenlänge in nm, %2</translation>
    </message>
    <message>
      <source>%1 by wavelength in nm, before (grey) and after</source>
      <translation>%1 nach Wellenlänge in nm, vorher (grau) und nachher</translation>
    </message>
    <message numerus="yes">
      <source>%1 cells of %2 %3 on the view.</source>
      <comment>%1 cell of %2 %3 on the view.</comment>
      <translation>
        <numerusform>%1 Zelle von %2 %3 in der Ansicht.</numerusform>
        <numerusform>%1 Zellen von %2 %3 in der Ansicht.</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 cells of %2 %3, too many to be drawn on the view.</source>
      <translation>%1 Zellen von %2 %3, zu viele, um in der Ansicht gezeichnet zu werden.</translation>
    </message>
    <message>
      <source>%1 chosen</source>
      <translation>%1 gewählt</translation>
    </message>
    <message>
      <source>%1 copy</source>
      <translation>%1 Kopie</translation>
    </message>
    <message>
      <source>%1 different things stand there; that is no column of classes.</source>
      <translation>%1 verschiedene Dinge stehen dort; das ist keine Spalte mit Klassen.</translation>
    </message>
    <message>
      <source>%1 down</source>
      <translation>%1 nach unten</translation>
    </message>
    <message>
      <source>%1 drawn, %2 grown</source>
      <translation>%1 gezeichnet, %2 gewachsen</translation>
    </message>
    <message>
      <source>%1 features are more than the %2 that can be used at once; leave some out.</source>
      <translation>%1 Merkmale sind mehr als die %2, die zugleich verwendet werden können; lassen Sie einige weg.</translation>
    </message>
    <message>
      <source>%1 for %2</source>
      <translation>%1 für %2</translation>
    </message>
    <message>
      <source>%1 goes on labelling</source>
      <translation>%1 bestimmt weiter</translation>
    </message>
    <message>
      <source>%1 goes on labelling (%2 left)</source>
      <translation>%1 bestimmt weiter (noch %2)</translation>
    </message>
    <message>
      <source>%1 has labelled %2 of %3 points. Until they are done, neither your labels nor the map's classes are seen.</source>
      <translation>%1 hat %2 von %3 Punkten bestimmt. Bis alle fertig sind, sind weder Ihre Angaben noch die Klassen der Karte zu sehen.</translation>
    </message>
    <message>
      <source>%1 has no training pixels of this class.</source>
      <translation>%1 hat keine Trainingspixel dieser Klasse.</translation>
    </message>
    <message>
      <source>%1 has the code %2 already.</source>
      <translation>%1 hat schon den Code %2.</translation>
    </message>
    <message>
      <source>%1 here, %2 there: %3 pixels</source>
      <translation>%1 hier, %2 dort: %3 Pixel</translation>
    </message>
    <message>
      <source>%1 is %2</source>
      <translation>%1 ist %2</translation>
    </message>
    <message>
      <source>%1 is of other features.</source>
      <translation>%1 ist aus anderen Merkmalen.</translation>
    </message>
    <message>
      <source>%1 kB</source>
      <translation>%1 kB</translation>
    </message>
    <message>
      <source>%1 labelled no point that you labelled too, so nothing is compared.</source>
      <translation>%1 hat keinen Punkt bestimmt, den auch Sie bestimmt haben; es gibt nichts zu vergleichen.</translation>
    </message>
    <message>
      <source>%1 labelled · %2 unsure%3</source>
      <translation>%1 bestimmt · %2 unsicher%3</translation>
    </message>
    <message>
      <source>%1 lacks %2; choose another scene.</source>
      <translation>%1 fehlt %2; wählen Sie eine andere Szene.</translation>
    </message>
    <message>
      <source>%1 less %2</source>
      <translation>%1 minus %2</translation>
    </message>
    <message>
      <source>%1 lies outside of what is seen. &lt;a href="%2"&gt;Go there&lt;/a&gt;</source>
      <translation>%1 liegt außerhalb des Sichtbaren. &lt;a href="%2"&gt;Dorthin&lt;/a&gt;</translation>
    </message>
    <message>
      <source>%1 more</source>
      <translation>%1 mehr</translation>
    </message>
    <message>
      <source>%1 more…</source>
      <translation>%1 weitere…</translation>
    </message>
    <message numerus="yes">
      <source>%1 numbers are of no point here.</source>
      <comment>%1 number is of no point here.</comment>
      <translation>
        <numerusform>%1 Nummer gehört hier zu keinem Punkt.</numerusform>
        <numerusform>%1 Nummern gehören hier zu keinem Punkt.</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 of %2</source>
      <translation>%1 von %2</translation>
    </message>
    <message>
      <source>%1 of %2 classes left out; choose others…</source>
      <translation>%1 von %2 Klassen weggelassen; andere wählen…</translation>
    </message>
    <message>
      <source>%1 of %2 in %3</source>
      <translation>%1 von %2 in %3</translation>
    </message>
    <message>
      <source>%1 of %2 labelled</source>
      <translation>%1 von %2 bestimmt</translation>
    </message>
    <message>
      <source>%1 of %2 named</source>
      <translation>%1 von %2 benannt</translation>
    </message>
    <message>
      <source>%1 of %2 points labelled, %3 unsure.%4%5</source>
      <translation>%1 von %2 Punkten bestimmt, %3 unsicher.%4%5</translation>
    </message>
    <message>
      <source>%1 of %2 rows</source>
      <translation>%1 von %2 Zeilen</translation>
    </message>
    <message>
      <source>%1 of it are here</source>
      <translation>%1 davon sind hier</translation>
    </message>
    <message>
      <source>%1 of the %2 areas hold no pixel of this scene.</source>
      <translation>%1 der %2 Gebiete enthalten kein Pixel dieser Szene.</translation>
    </message>
    <message>
      <source>%1 of them share a pixel with another, so their readings are no facts of their own.</source>
      <translation>%1 davon teilen ein Pixel mit einem anderen; ihre Ablesungen sind keine eigenen Tatsachen.</translation>
    </message>
    <message numerus="yes">
      <source>%1 of these points lie in training areas, where a map is better than elsewhere: plan other points, or say so.</source>
      <comment>%1 of these points lies in a training area, where a map is better than elsewhere: plan other points, or say so.</comment>
      <translation>
        <numerusform>%1 dieser Punkte liegt in einem Trainingsgebiet, wo eine Karte besser ist als anderswo: planen Sie andere Punkte oder geben Sie es an.</numerusform>
        <numerusform>%1 dieser Punkte liegen in Trainingsgebieten, wo eine Karte besser ist als anderswo: planen Sie andere Punkte oder geben Sie es an.</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 parts like this; both stay %2 in the map.</source>
      <translation>%1 teilt sich so; beide bleiben in der Karte %2.</translation>
    </message>
    <message>
      <source>%1 pixels</source>
      <translation>%1 Pixel</translation>
    </message>
    <message>
      <source>%1 pixels left</source>
      <translation>noch %1 Pixel</translation>
    </message>
    <message>
      <source>%1 pixels lie below %2 and %3 above %4, beyond the axis; the areas count them.</source>
      <translation>%1 Pixel liegen unter %2 und %3 über %4, jenseits der Achse; die Flächen zählen sie mit.</translation>
    </message>
    <message>
      <source>%1 pixels right</source>
      <translation>%1 Pixel richtig</translation>
    </message>
    <message>
      <source>%1 pixels, %2 %3</source>
      <translation>%1 Pixel, %2 %3</translation>
    </message>
    <message numerus="yes">
      <source>%1 pixels: %2</source>
      <comment>%1 pixel: %2</comment>
      <translation>
        <numerusform>%1 Pixel: %2</numerusform>
        <numerusform>%1 Pixel: %2</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 places of curves are empty: gaps</source>
      <translation>%1 Stellen der Kurven sind leer: Lücken</translation>
    </message>
    <message numerus="yes">
      <source>%1 points are labelled by the list.</source>
      <comment>%1 point is labelled by the list.</comment>
      <translation>
        <numerusform>%1 Punkt ist durch die Liste bestimmt.</numerusform>
        <numerusform>%1 Punkte sind durch die Liste bestimmt.</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 points are right in the second only, %2 in the first only; %3 are alike. A difference as large by chance, of the points: %4 (McNemar 1947%5).</source>
      <translation>%1 Punkte sind nur in der zweiten richtig, %2 nur in der ersten; %3 sind gleich. Ein so großer Unterschied durch Zufall, nach den Punkten: %4 (McNemar 1947%5).</translation>
    </message>
    <message>
      <source>%1 points on the view, %2 in each of %3 classes.</source>
      <translation>%1 Punkte in der Ansicht, %2 in jeder von %3 Klassen.</translation>
    </message>
    <message numerus="yes">
      <source>%1 points on the view.</source>
      <comment>%1 point on the view.</comment>
      <translation>
        <numerusform>%1 Punkt in der Ansicht.</numerusform>
        <numerusform>%1 Punkte in der Ansicht.</numerusform>
      </translation>
    </message>
    <message>
      <source>%1 points, each counting the same.</source>
      <translation>%1 Punkte, die alle gleich zählen.</translation>
    </message>
    <message>
      <source>%1 points, weighted by area.</source>
      <translation>%1 Punkte, nach Fläche gewichtet.</translation>
    </message>
    <message>
      <source>%1 readings of %2 come from %3 different pixels.</source>
      <translation>%1 Ablesungen von %2 stammen aus %3 verschiedenen Pixeln.</translation>
    </message>
    <message>
      <source>%1 readings; band: one spread</source>
      <translation>%1 Ablesungen; Band: eine Streuung</translation>
    </message>
    <message>
      <source>%1 rows</source>
      <translation>%1 Zeilen</translation>
    </message>
    <message>
      <source>%1 rows are shown.</source>
      <translation>%1 Zeilen sind zu sehen.</translation>
    </message>
    <message>
      <source>%1 rows found another, %2 found none, %3 found several; %4 of the other were not used. Rows where matches = 0 shows those without.</source>
      <translation>%1 Zeilen fanden eine andere, %2 keine, %3 mehrere; %4 der anderen wurden nicht gebraucht. Zeilen mit matches = 0 zeigt die ohne.</translation>
    </message>
    <message>
      <source>%1 rows make %2.</source>
      <translation>%1 Zeilen ergeben %2.</translation>
    </message>
    <message>
      <source>%1 segments of %2 pixels on average. Each is told by the means and spreads of what it is alike in, its size and its compactness.</source>
      <translation>%1 Segmente von im Mittel %2 Pixeln. Jedes trägt Mittel und Streuungen dessen, worin es sich gleicht, seine Größe und seine Kompaktheit.</translation>
    </message>
    <message>
      <source>%1 through the season</source>
      <translation>%1 durch die Saison</translation>
    </message>
    <message>
      <source>%1 to %2</source>
      <translation>%1 bis %2</translation>
    </message>
    <message>
      <source>%1 to %2, mean %3</source>
      <translation>%1 bis %2, Mittel %3</translation>
    </message>
    <message>
      <source>%1 to %2: %3 % right of %4 pixels</source>
      <translation>%1 bis %2: %3 % richtig von %4 Pixeln</translation>
    </message>
    <message>
      <source>%1 up</source>
      <translation>%1 nach oben</translation>
    </message>
    <message>
      <source>%1 values</source>
      <translation>%1 Werte</translation>
    </message>
    <message>
      <source>%1 where %2</source>
      <translation>%1, wo %2</translation>
    </message>
    <message>
      <source>%1 with %2</source>
      <translation>%1 mit %2</translation>
    </message>
    <message>
      <source>%1 with %2: %3</source>
      <translation>%1 mit %2: %3</translation>
    </message>
    <message>
      <source>%1 x %2 pixels</source>
      <translation>%1 x %2 Pixel</translation>
    </message>
    <message>
      <source>%1 x %2 pixels of %3 %4</source>
      <translation>%1 x %2 Pixel von %3 %4</translation>
    </message>
    <message>
      <source>%1 x %2 points</source>
      <translation>%1 x %2 Punkte</translation>
    </message>
    <message>
      <source>%1, %2 less %3</source>
      <translation>%1, %2 minus %3</translation>
    </message>
    <message>
      <source>%1, %2: %3 became %4, “%5”; overall accuracy %6 % before, %7 % after.</source>
      <translation>%1, %2: aus %3 wurde %4, „%5“; Gesamtgenauigkeit %6 % vorher, %7 % nachher.</translation>
    </message>
    <message numerus="yes">
      <source>%1, %n areas</source>
      <comment>%1, %n area</comment>
      <translation>
        <numerusform>%1, %n Gebiet</numerusform>
        <numerusform>%1, %n Gebiete</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%1, %n classes</source>
      <comment>%1, %n class</comment>
      <translation>
        <numerusform>%1, %n Klasse</numerusform>
        <numerusform>%1, %n Klassen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%1, %n rows</source>
      <comment>%1, %n row</comment>
      <translation>
        <numerusform>%1, %n Zeile</numerusform>
        <numerusform>%1, %n Zeilen</numerusform>
      </translation>
    </message>
    <message>
      <source>%1, all bands</source>
      <translation>%1, alle Bänder</translation>
    </message>
    <message>
      <source>%1, as shown</source>
      <translation>%1, wie gezeigt</translation>
    </message>
    <message>
      <source>%1, filtered</source>
      <translation>%1, gefiltert</translation>
    </message>
    <message>
      <source>%1, from %2 to %3</source>
      <translation>%1, von %2 bis %3</translation>
    </message>
    <message>
      <source>%1, labelled “%2”.</source>
      <translation>%1, bestimmt als „%2“.</translation>
    </message>
    <message>
      <source>%1, less haze</source>
      <translation>%1, ohne Dunst</translation>
    </message>
    <message>
      <source>%1, normalised</source>
      <translation>%1, angeglichen</translation>
    </message>
    <message>
      <source>%1, not in the study yet</source>
      <translation>%1, noch nicht in der Studie</translation>
    </message>
    <message>
      <source>%1, of “%2”</source>
      <translation>%1, von „%2“</translation>
    </message>
    <message>
      <source>%1, on a screen of %2 × %3 pixels</source>
      <translation>%1, auf einem Bildschirm von %2 × %3 Pixeln</translation>
    </message>
    <message>
      <source>%1, on level ground</source>
      <translation>%1, auf ebenem Grund</translation>
    </message>
    <message>
      <source>%1, sharpened</source>
      <translation>%1, geschärft</translation>
    </message>
    <message>
      <source>%1, the cell it lies in</source>
      <translation>%1, die Zelle, in der es liegt</translation>
    </message>
    <message>
      <source>%1, the nearest and its distance</source>
      <translation>%1, das nächste und sein Abstand</translation>
    </message>
    <message>
      <source>%1, the polygon it lies in</source>
      <translation>%1, das Polygon, in dem es liegt</translation>
    </message>
    <message>
      <source>%1, the rest mostly %2.</source>
      <translation>%1, der Rest meist %2.</translation>
    </message>
    <message>
      <source>%1, tidied</source>
      <translation>%1, bereinigt</translation>
    </message>
    <message>
      <source>%1, touched up</source>
      <translation>%1, nachgebessert</translation>
    </message>
    <message>
      <source>%1: %2</source>
      <translation>%1: %2</translation>
    </message>
    <message>
      <source>%1: %2 % is a guess</source>
      <translation>%1: %2 % sind geraten</translation>
    </message>
    <message>
      <source>%1: %2 classes, learned from %3 training pixels.</source>
      <translation>%1: %2 Klassen, gelernt aus %3 Trainingspixeln.</translation>
    </message>
    <message numerus="yes">
      <source>%1: %2 pixels</source>
      <comment>%1: %2 pixel</comment>
      <translation>
        <numerusform>%1: %2 Pixel</numerusform>
        <numerusform>%1: %2 Pixel</numerusform>
      </translation>
    </message>
    <message>
      <source>%1: %2 pixels have another class than before, %3 % of the map.</source>
      <translation>%1: %2 Pixel haben eine andere Klasse als vorher, %3 % der Karte.</translation>
    </message>
    <message>
      <source>%1: another class in %2 % of the pixels.</source>
      <translation>%1: eine andere Klasse in %2 % der Pixel.</translation>
    </message>
    <message>
      <source>%1: how it works</source>
      <translation>%1: wie es arbeitet</translation>
    </message>
    <message>
      <source>%1: out of date</source>
      <translation>%1: veraltet</translation>
    </message>
    <message>
      <source>%1: the key of what was here before, then of what came after; twice the same if nothing changed.</source>
      <translation>%1: die Taste dessen, was vorher hier war, dann dessen, was nachher kam; zweimal dieselbe, wenn sich nichts geändert hat.</translation>
    </message>
    <message>
      <source>%1: what it is for</source>
      <translation>%1: wofür es da ist</translation>
    </message>
    <message>
      <source>%1; the same band three times shows it alone in grey</source>
      <translation>%1; dreimal dasselbe Band zeigt es allein in Grau</translation>
    </message>
    <message numerus="yes">
      <source>%n are thin</source>
      <comment>%n is thin</comment>
      <translation>
        <numerusform>%n ist dünn</numerusform>
        <numerusform>%n sind dünn</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n are wide</source>
      <comment>%n is wide</comment>
      <translation>
        <numerusform>%n ist weit</numerusform>
        <numerusform>%n sind weit</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n areas.</source>
      <comment>%n area.</comment>
      <translation>
        <numerusform>%n Gebiet.</numerusform>
        <numerusform>%n Gebiete.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n bands</source>
      <comment>%n band</comment>
      <translation>
        <numerusform>%n Band</numerusform>
        <numerusform>%n Bänder</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n cells</source>
      <comment>%n cell</comment>
      <translation>
        <numerusform>%n Zelle</numerusform>
        <numerusform>%n Zellen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n classes</source>
      <comment>%n class</comment>
      <translation>
        <numerusform>%n Klasse</numerusform>
        <numerusform>%n Klassen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n classes are in the legend.</source>
      <comment>%n class is in the legend.</comment>
      <translation>
        <numerusform>%n Klasse ist in der Legende.</numerusform>
        <numerusform>%n Klassen sind in der Legende.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n classes look mixed</source>
      <comment>%n class looks mixed</comment>
      <translation>
        <numerusform>%n Klasse wirkt gemischt</numerusform>
        <numerusform>%n Klassen wirken gemischt</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n classes. Choose one, then one of its areas to see it against the others.</source>
      <comment>%n class. Choose one of its areas to see it against the others.</comment>
      <translation>
        <numerusform>%n Klasse. Wählen Sie eines ihrer Gebiete, um es gegen die anderen zu sehen.</numerusform>
        <numerusform>%n Klassen. Wählen Sie eine, dann eines ihrer Gebiete, um es gegen die anderen zu sehen.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n clusters (%1 % of the pixels) are not named yet; they would stay without a class.</source>
      <comment>%n cluster (%1 % of the pixels) is not named yet; it would stay without a class.</comment>
      <translation>
        <numerusform>%n Cluster (%1 % der Pixel) ist noch nicht benannt; er bliebe ohne Klasse.</numerusform>
        <numerusform>%n Cluster (%1 % der Pixel) sind noch nicht benannt; sie blieben ohne Klasse.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n clusters found in %1 passes, %2 of them named.</source>
      <comment>%n cluster found in %1 passes, %2 of them named.</comment>
      <translation>
        <numerusform>%n Cluster in %1 Durchgängen gefunden, %2 davon benannt.</numerusform>
        <numerusform>%n Cluster in %1 Durchgängen gefunden, %2 davon benannt.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n clusters, %1 features of %2. Point at one and its pixels light up; click a pixel and its cluster is taken.</source>
      <comment>%n cluster, %1 features of %2. Point at it and its pixels light up.</comment>
      <translation>
        <numerusform>%n Cluster, %1 Merkmale von %2. Zeigen Sie darauf, und seine Pixel leuchten auf.</numerusform>
        <numerusform>%n Cluster, %1 Merkmale von %2. Zeigen Sie auf einen, und seine Pixel leuchten auf; klicken Sie auf ein Pixel, und sein Cluster wird genommen.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n features chosen for a map</source>
      <comment>%n feature chosen for a map</comment>
      <translation>
        <numerusform>%n Merkmal für eine Karte gewählt</numerusform>
        <numerusform>%n Merkmale für eine Karte gewählt</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n hidden columns stay out.</source>
      <comment>%n hidden column stays out.</comment>
      <translation>
        <numerusform>%n verborgene Spalte bleibt draußen.</numerusform>
        <numerusform>%n verborgene Spalten bleiben draußen.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n labels were changed after the labelling was closed.</source>
      <comment>%n label was changed after the labelling was closed.</comment>
      <translation>
        <numerusform>%n Angabe wurde nach dem Abschluss der Bestimmung geändert.</numerusform>
        <numerusform>%n Angaben wurden nach dem Abschluss der Bestimmung geändert.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n more…</source>
      <comment>%n more…</comment>
      <translation>
        <numerusform>%n weiteres…</numerusform>
        <numerusform>%n weitere…</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n of its bands lie on another grid and are brought over as they are read.</source>
      <comment>%n of its bands lies on another grid and is brought over as it is read.</comment>
      <translation>
        <numerusform>%n ihrer Bänder liegt auf einem anderen Gitter und wird beim Lesen übertragen.</numerusform>
        <numerusform>%n ihrer Bänder liegen auf einem anderen Gitter und werden beim Lesen übertragen.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n pixels claimed by two classes are left out.</source>
      <comment>%n pixel claimed by two classes is left out.</comment>
      <translation>
        <numerusform>%n Pixel, das zwei Klassen beanspruchen, bleibt weg.</numerusform>
        <numerusform>%n Pixel, die zwei Klassen beanspruchen, bleiben weg.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n pixels, as many as it may be.</source>
      <comment>%n pixel, as many as it may be.</comment>
      <translation>
        <numerusform>%n Pixel, so viele wie höchstens erlaubt.</numerusform>
        <numerusform>%n Pixel, so viele wie höchstens erlaubt.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n pixels.</source>
      <comment>%n pixel.</comment>
      <translation>
        <numerusform>%n Pixel.</numerusform>
        <numerusform>%n Pixel.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points</source>
      <comment>%n point</comment>
      <translation>
        <numerusform>%n Punkt</numerusform>
        <numerusform>%n Punkte</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points a class</source>
      <comment>%n point a class</comment>
      <translation>
        <numerusform>%n Punkt je Klasse</numerusform>
        <numerusform>%n Punkte je Klasse</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points belong to several of %1; the first counts.</source>
      <comment>%n point belongs to several of %1; the first counts.</comment>
      <translation>
        <numerusform>%n Punkt gehört zu mehreren aus %1; das erste zählt.</numerusform>
        <numerusform>%n Punkte gehören zu mehreren aus %1; das erste zählt.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points by area</source>
      <comment>%n point by area</comment>
      <translation>
        <numerusform>%n Punkt nach Fläche</numerusform>
        <numerusform>%n Punkte nach Fläche</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points by hand</source>
      <comment>%n point by hand</comment>
      <translation>
        <numerusform>%n Punkt von Hand</numerusform>
        <numerusform>%n Punkte von Hand</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points lie in nothing of %1.</source>
      <comment>%n point lies in nothing of %1.</comment>
      <translation>
        <numerusform>%n Punkt liegt in nichts aus %1.</numerusform>
        <numerusform>%n Punkte liegen in nichts aus %1.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n points without a label or outside the map are left out. </source>
      <comment>%n point without a label or outside the map is left out. </comment>
      <translation>
        <numerusform>%n Punkt ohne Angabe oder außerhalb der Karte bleibt weg. </numerusform>
        <numerusform>%n Punkte ohne Angabe oder außerhalb der Karte bleiben weg. </numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n random points</source>
      <comment>%n random point</comment>
      <translation>
        <numerusform>%n zufälliger Punkt</numerusform>
        <numerusform>%n zufällige Punkte</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n scenes</source>
      <comment>%n scene</comment>
      <translation>
        <numerusform>%n Szene</numerusform>
        <numerusform>%n Szenen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n scenes, newest first.</source>
      <comment>%n scene.</comment>
      <translation>
        <numerusform>%n Szene.</numerusform>
        <numerusform>%n Szenen, neueste zuerst.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n training areas of %1 classes, %2 features.</source>
      <comment>%n training area of %1 classes, %2 features.</comment>
      <translation>
        <numerusform>%n Trainingsgebiet von %1 Klassen, %2 Merkmale.</numerusform>
        <numerusform>%n Trainingsgebiete von %1 Klassen, %2 Merkmale.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n training pixels of %1 lie farther from the rest than one in 10 000.</source>
      <comment>%n training pixel of %1 lies farther from the rest than one in 10 000.</comment>
      <translation>
        <numerusform>%n Trainingspixel von %1 liegt weiter vom Rest als eines von 10 000.</numerusform>
        <numerusform>%n Trainingspixel von %1 liegen weiter vom Rest als eines von 10 000.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>%n zones hold no pixel of %1.</source>
      <comment>%n zone holds no pixel of %1.</comment>
      <translation>
        <numerusform>%n Zone enthält kein Pixel von %1.</numerusform>
        <numerusform>%n Zonen enthalten kein Pixel von %1.</numerusform>
      </translation>
    </message>
    <message>
      <source>+ −</source>
      <translation>+ −</translation>
    </message>
    <message>
      <source>, %1° from the vertical</source>
      <translation>, %1° von der Senkrechten</translation>
    </message>
    <message>
      <source>, about %1 min left</source>
      <translation>, noch etwa %1 min</translation>
    </message>
    <message>
      <source>, about %1 s left</source>
      <translation>, noch etwa %1 s</translation>
    </message>
    <message>
      <source>, exact</source>
      <translation>, exakt</translation>
    </message>
    <message>
      <source>, from %1 different pixels</source>
      <translation>, aus %1 verschiedenen Pixeln</translation>
    </message>
    <message>
      <source>, inside %1 to %2. </source>
      <translation>, innerhalb von %1 bis %2. </translation>
    </message>
    <message>
      <source>, kappa %1.</source>
      <translation>, kappa %1.</translation>
    </message>
    <message>
      <source>, outside the expected %1 to %2. </source>
      <translation>, außerhalb der erwarteten %1 bis %2. </translation>
    </message>
    <message>
      <source>0</source>
      <translation>0</translation>
    </message>
    <message>
      <source>0, Shift 0</source>
      <translation>0, Umschalt 0</translation>
    </message>
    <message>
      <source>0.5 to 0.7</source>
      <translation>0,5 bis 0,7</translation>
    </message>
    <message>
      <source>0.7 to 0.9</source>
      <translation>0,7 bis 0,9</translation>
    </message>
    <message>
      <source>1 to 65535, and no other class's; training areas follow</source>
      <translation>1 bis 65535 und keiner anderen Klasse; Trainingsgebiete folgen</translation>
    </message>
    <message>
      <source>1 value</source>
      <translation>1 Wert</translation>
    </message>
    <message>
      <source>1 … 9, a letter</source>
      <translation>1 … 9, ein Buchstabe</translation>
    </message>
    <message>
      <source>10 %</source>
      <translation>10 %</translation>
    </message>
    <message>
      <source>2 % of the scene lie above</source>
      <translation>2 % der Szene liegen darüber</translation>
    </message>
    <message>
      <source>2 % of the scene lie below</source>
      <translation>2 % der Szene liegen darunter</translation>
    </message>
    <message>
      <source>2 pixels from one</source>
      <translation>2 Pixel von einer</translation>
    </message>
    <message>
      <source>3 to 5 pixels</source>
      <translation>3 bis 5 Pixel</translation>
    </message>
    <message>
      <source>90 %</source>
      <translation>90 %</translation>
    </message>
    <message>
      <source>95 % interval %1 to %2</source>
      <translation>95-%-Intervall %1 bis %2</translation>
    </message>
    <message>
      <source>95 % interval %1 to %2 ha</source>
      <translation>95-%-Intervall %1 bis %2 ha</translation>
    </message>
    <message>
      <source>: no %1</source>
      <translation>: kein %1</translation>
    </message>
    <message>
      <source>; below: %1</source>
      <translation>; darunter: %1</translation>
    </message>
    <message>
      <source>&lt;b&gt;%1 %&lt;/b&gt; is unlike all training</source>
      <translation>&lt;b&gt;%1 %&lt;/b&gt; ist allem Training unähnlich</translation>
    </message>
    <message>
      <source>&lt;b&gt;%1 points&lt;/b&gt; give overall accuracy within &lt;b&gt;± %2 %&lt;/b&gt;.</source>
      <translation>&lt;b&gt;%1 Punkte&lt;/b&gt; ergeben die Gesamtgenauigkeit auf &lt;b&gt;± %2 %&lt;/b&gt; genau.</translation>
    </message>
    <message numerus="yes">
      <source>&lt;b&gt;%1 points&lt;/b&gt; mapped as %2 are %2 on the ground: the map is right there.</source>
      <comment>&lt;b&gt;%1 point&lt;/b&gt; mapped as %2 is %2 on the ground: the map is right there.</comment>
      <translation>
        <numerusform>&lt;b&gt;%1 Punkt&lt;/b&gt;, kartiert als %2, ist am Boden %2: die Karte hat dort recht.</numerusform>
        <numerusform>&lt;b&gt;%1 Punkte&lt;/b&gt;, kartiert als %2, sind am Boden %2: die Karte hat dort recht.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>&lt;b&gt;%1 points&lt;/b&gt; mapped as %2 are %3 on the ground: a commission error of %2, an omission of %3.</source>
      <comment>&lt;b&gt;%1 point&lt;/b&gt; mapped as %2 is %3 on the ground: a commission error of %2, an omission of %3.</comment>
      <translation>
        <numerusform>&lt;b&gt;%1 Punkt&lt;/b&gt;, kartiert als %2, ist am Boden %3: ein Kommissionsfehler von %2, eine Auslassung von %3.</numerusform>
        <numerusform>&lt;b&gt;%1 Punkte&lt;/b&gt;, kartiert als %2, sind am Boden %3: ein Kommissionsfehler von %2, eine Auslassung von %3.</numerusform>
      </translation>
    </message>
    <message>
      <source>&lt;b&gt;%1&lt;/b&gt; is better by &lt;b&gt;%2&lt;/b&gt; points of a hundred [%3 to %4].</source>
      <translation>&lt;b&gt;%1&lt;/b&gt; ist um &lt;b&gt;%2&lt;/b&gt; von hundert Punkten besser [%3 bis %4].</translation>
    </message>
    <message>
      <source>?</source>
      <translation>?</translation>
    </message>
    <message>
      <source>A PDF needs the program weasyprint, which is not installed; leave the PDF out (the HTML file says the same), or install it.</source>
      <translation>Ein PDF braucht das Programm weasyprint, das nicht installiert ist; lassen Sie das PDF weg (die HTML-Datei sagt dasselbe) oder installieren Sie es.</translation>
    </message>
    <message>
      <source>A band by its role, or a formula of roles, such as vh or ndiff(nir, red).</source>
      <translation>Ein Band nach seiner Rolle oder eine Formel aus Rollen, etwa vh oder ndiff(nir, red).</translation>
    </message>
    <message>
      <source>A band has no values; choose another.</source>
      <translation>Ein Band hat keine Werte; wählen Sie ein anderes.</translation>
    </message>
    <message>
      <source>A band whose bits or values say which pixels are cloud, shadow…</source>
      <translation>Ein Band, dessen Bits oder Werte sagen, welche Pixel Wolke, Schatten… sind</translation>
    </message>
    <message>
      <source>A bar each</source>
      <translation>Ein Balken je</translation>
    </message>
    <message>
      <source>A brush has a width above 0.</source>
      <translation>Ein Pinsel hat eine Breite über 0.</translation>
    </message>
    <message>
      <source>A change is from one class to another; one of the two is missing.</source>
      <translation>Eine Veränderung geht von einer Klasse zu einer anderen; eine der beiden fehlt.</translation>
    </message>
    <message>
      <source>A change of a table is one of add, fill, paste, rename, drop, keep, sort and group.</source>
      <translation>Eine Änderung einer Tabelle ist eine von add, fill, paste, rename, drop, keep, sort und group.</translation>
    </message>
    <message>
      <source>A class has a single point, so there are no standard errors.</source>
      <translation>Eine Klasse hat nur einen Punkt; daher gibt es keine Standardfehler.</translation>
    </message>
    <message>
      <source>A class needs a name.</source>
      <translation>Eine Klasse braucht einen Namen.</translation>
    </message>
    <message>
      <source>A click in the view puts a point down; a click on a point takes it out</source>
      <translation>Ein Klick in die Ansicht setzt einen Punkt; ein Klick auf einen Punkt nimmt ihn weg</translation>
    </message>
    <message>
      <source>A click takes the whole patch of one class</source>
      <translation>Ein Klick nimmt die ganze Fläche einer Klasse</translation>
    </message>
    <message>
      <source>A closing parenthesis is missing here.</source>
      <translation>Hier fehlt eine schließende Klammer.</translation>
    </message>
    <message>
      <source>A code is a whole number from 1 to 65535.</source>
      <translation>Ein Code ist eine ganze Zahl von 1 bis 65535.</translation>
    </message>
    <message>
      <source>A comparison, such as temperature &gt; 20 or cover = "Reedbed"; Enter shows the rows for which it is true</source>
      <translation>Ein Vergleich, etwa temperature &gt; 20 oder cover = "Schilf"; Eingabe zeigt die Zeilen, für die er gilt</translation>
    </message>
    <message>
      <source>A convention calls this “%1” (Landis and Koch 1977). It is no more than a convention.</source>
      <translation>Eine Übereinkunft nennt das „%1“ (Landis und Koch 1977). Mehr als eine Übereinkunft ist es nicht.</translation>
    </message>
    <message>
      <source>A copy cannot lie within the study itself; choose another place.</source>
      <translation>Eine Kopie kann nicht in der Studie selbst liegen; wählen Sie einen anderen Ort.</translation>
    </message>
    <message>
      <source>A copy is in “%1”. You go on working in the first.</source>
      <translation>Eine Kopie liegt in „%1“. Sie arbeiten in der ersten weiter.</translation>
    </message>
    <message>
      <source>A corner at</source>
      <translation>Eine Ecke bei</translation>
    </message>
    <message>
      <source>A correction has a class code that is none.</source>
      <translation>Eine Korrektur hat einen Klassencode, der keiner ist.</translation>
    </message>
    <message>
      <source>A correction lies outside the system of the map.</source>
      <translation>Eine Korrektur liegt außerhalb des Systems der Karte.</translation>
    </message>
    <message>
      <source>A correction needs rings of places and the code of a class.</source>
      <translation>Eine Korrektur braucht Ringe von Orten und den Code einer Klasse.</translation>
    </message>
    <message>
      <source>A count of the model is not a whole number.</source>
      <translation>Eine Anzahl des Modells ist keine ganze Zahl.</translation>
    </message>
    <message>
      <source>A covariance has a wrong number of rows.</source>
      <translation>Eine Kovarianz hat eine falsche Zahl von Zeilen.</translation>
    </message>
    <message>
      <source>A curve each</source>
      <translation>Eine Kurve je</translation>
    </message>
    <message>
      <source>A date is not one; write year-month-day, such as 2031-07-18, or leave it empty.</source>
      <translation>Ein Datum ist keines; schreiben Sie Jahr-Monat-Tag, etwa 2031-07-18, oder lassen Sie es leer.</translation>
    </message>
    <message>
      <source>A feature needs a scene; give one.</source>
      <translation>Ein Merkmal braucht eine Szene; geben Sie eine an.</translation>
    </message>
    <message>
      <source>A feature of another kind, or of another scene</source>
      <translation>Ein Merkmal anderer Art oder aus einer anderen Szene</translation>
    </message>
    <message>
      <source>A formula looks around at most {} times; split it into several.</source>
      <translation>Eine Formel schaut höchstens {}-mal in die Umgebung; teilen Sie sie auf.</translation>
    </message>
    <message>
      <source>A formula of band roles, and of what else is named here.</source>
      <translation>Eine Formel aus Bandrollen und dem, was hier sonst benannt ist.</translation>
    </message>
    <message>
      <source>A function is followed by its values in parentheses.</source>
      <translation>Auf eine Funktion folgen ihre Werte in Klammern.</translation>
    </message>
    <message>
      <source>A group whose spread in its widest feature is larger may be parted. In the spread of that feature over all pixels, unless the scale is as it is.</source>
      <translation>Eine Gruppe, deren Streuung in ihrem weitesten Merkmal größer ist, darf geteilt werden. In der Streuung dieses Merkmals über alle Pixel, außer wenn die Skala bleibt, wie sie ist.</translation>
    </message>
    <message>
      <source>A history takes at most 1000 dates.</source>
      <translation>Ein Verlauf nimmt höchstens 1000 Daten.</translation>
    </message>
    <message>
      <source>A history takes class maps of two or more dates.</source>
      <translation>Ein Verlauf nimmt Klassenkarten von zwei oder mehr Daten.</translation>
    </message>
    <message>
      <source>A kind of product has no face.</source>
      <translation>Eine Art von Ergebnis hat kein Gesicht.</translation>
    </message>
    <message>
      <source>A label is of 1 pixel or of a block of 3 x 3; {} is neither.</source>
      <translation>Eine Angabe gilt für 1 Pixel oder einen Block von 3 x 3; {} ist keines von beiden.</translation>
    </message>
    <message>
      <source>A layer cannot be brought onto the other grid ({}).</source>
      <translation>Eine Ebene kann nicht auf das andere Gitter gebracht werden ({}).</translation>
    </message>
    <message>
      <source>A line needs 3 places that have both values; there are {}.</source>
      <translation>Eine Gerade braucht 3 Orte, die beide Werte haben; es gibt {}.</translation>
    </message>
    <message>
      <source>A map by what was learned before, from other training or another scene.</source>
      <translation>Eine Karte nach dem, was früher gelernt wurde, aus anderem Training oder einer anderen Szene.</translation>
    </message>
    <message>
      <source>A map is as good as points show that were not used to make it. Start labelling the points of this plan.</source>
      <translation>Eine Karte ist so gut, wie Punkte zeigen, aus denen sie nicht gemacht ist. Beginnen Sie, die Punkte dieses Plans zu bestimmen.</translation>
    </message>
    <message>
      <source>A map is learned from places whose class you know. One draws them; here some are ready. Choose outlines.gpkg in the folder “outlines” of this study.</source>
      <translation>Eine Karte wird aus Orten gelernt, deren Klasse man kennt. Man zeichnet sie; hier sind einige fertig. Wählen Sie outlines.gpkg im Ordner „outlines“ dieser Studie.</translation>
    </message>
    <message>
      <source>A map is made by a method, or by a model; name one of them.</source>
      <translation>Eine Karte entsteht durch ein Verfahren oder ein Modell; nennen Sie eines davon.</translation>
    </message>
    <message>
      <source>A map is tested at validation points, whose true class you say without seeing what the map says. How many there must be follows from how sure you want to be.</source>
      <translation>Eine Karte wird an Prüfpunkten getestet, deren wahre Klasse Sie nennen, ohne zu sehen, was die Karte sagt. Wie viele es sein müssen, folgt daraus, wie sicher Sie sein wollen.</translation>
    </message>
    <message>
      <source>A map is written as PNG or PDF; end its name with .png or .pdf.</source>
      <translation>Eine Karte wird als PNG oder PDF geschrieben; ihr Name endet mit .png oder .pdf.</translation>
    </message>
    <message>
      <source>A map needs a scene. Bring one in first.</source>
      <translation>Eine Karte braucht eine Szene. Holen Sie zuerst eine herein.</translation>
    </message>
    <message>
      <source>A map needs training for at least two classes.</source>
      <translation>Eine Karte braucht Training für mindestens zwei Klassen.</translation>
    </message>
    <message>
      <source>A map needs training for at least two classes; draw areas of another class.</source>
      <translation>Eine Karte braucht Training für mindestens zwei Klassen; zeichnen Sie Gebiete einer weiteren Klasse.</translation>
    </message>
    <message>
      <source>A mask is widened by 0 to {} pixels, not {}.</source>
      <translation>Eine Maske wird um 0 bis {} Pixel verbreitert, nicht um {}.</translation>
    </message>
    <message>
      <source>A matrix from elsewhere</source>
      <translation>Eine Matrix von anderswo</translation>
    </message>
    <message>
      <source>A model or signatures, saved here or in another study</source>
      <translation>Ein Modell oder Signaturen, hier oder in einer anderen Studie gespeichert</translation>
    </message>
    <message>
      <source>A new study was made in “%1”.</source>
      <translation>Eine neue Studie wurde in „%1“ angelegt.</translation>
    </message>
    <message>
      <source>A number of points in each class of a map</source>
      <translation>Eine Anzahl Punkte in jeder Klasse einer Karte</translation>
    </message>
    <message>
      <source>A page for the browser, the same as PDF, the matrix as CSV, the points as GeoPackage, and the run sheet that makes the map again.</source>
      <translation>Eine Seite für den Browser, dasselbe als PDF, die Matrix als CSV, die Punkte als GeoPackage und das Ablaufblatt, das die Karte noch einmal macht.</translation>
    </message>
    <message>
      <source>A part of the class that may be learned by itself, such as mud</source>
      <translation>Ein Teil der Klasse, der für sich gelernt werden kann, etwa Schlick</translation>
    </message>
    <message>
      <source>A patch is</source>
      <translation>Eine Fläche ist</translation>
    </message>
    <message>
      <source>A picture could not be made.</source>
      <translation>Ein Bild konnte nicht gemacht werden.</translation>
    </message>
    <message>
      <source>A plan says where points lie; you see them before they are made. Make them.</source>
      <translation>Ein Plan sagt, wo Punkte liegen; Sie sehen sie, bevor sie gemacht werden. Machen Sie sie.</translation>
    </message>
    <message>
      <source>A point gets</source>
      <translation>Ein Punkt bekommt</translation>
    </message>
    <message>
      <source>A product this step needs is gone; make it again first.</source>
      <translation>Ein Ergebnis, das dieser Schritt braucht, ist fort; machen Sie es zuerst wieder.</translation>
    </message>
    <message>
      <source>A raster went away while it was read.</source>
      <translation>Ein Raster verschwand, während es gelesen wurde.</translation>
    </message>
    <message>
      <source>A reduced copy</source>
      <translation>Eine verkleinerte Kopie</translation>
    </message>
    <message>
      <source>A row for each of</source>
      <translation>Eine Zeile für jedes</translation>
    </message>
    <message>
      <source>A rule gives a class without a name.</source>
      <translation>Eine Regel gibt eine Klasse ohne Namen.</translation>
    </message>
    <message>
      <source>A rule is wrong; what is said below it tells where.</source>
      <translation>Eine Regel ist falsch; was darunter steht, sagt wo.</translation>
    </message>
    <message>
      <source>A scene has no classes to place points in; choose a class map.</source>
      <translation>Eine Szene hat keine Klassen, in die Punkte gesetzt werden könnten; wählen Sie eine Klassenkarte.</translation>
    </message>
    <message>
      <source>A scene is some bands on one grid. What grows is brightest in the near infrared, which no eye sees: show it as red with this composite.</source>
      <translation>Eine Szene besteht aus Bändern auf einem Gitter. Was wächst, ist am hellsten im nahen Infrarot, das kein Auge sieht: zeigen Sie es mit diesem Komposit als Rot.</translation>
    </message>
    <message>
      <source>A scene is written as byte, uint16, int16 or float32.</source>
      <translation>Eine Szene wird als byte, uint16, int16 oder float32 geschrieben.</translation>
    </message>
    <message>
      <source>A season of one band</source>
      <translation>Eine Saison eines Bandes</translation>
    </message>
    <message>
      <source>A season of “{}” needs two or more scenes with a date that have it; there are {}. Name them all.</source>
      <translation>Eine Saison von „{}“ braucht zwei oder mehr Szenen mit Datum, die es haben; es gibt {}. Nennen Sie alle.</translation>
    </message>
    <message>
      <source>A second labeller gets a share of the points above 0 and at most 1, not {}.</source>
      <translation>Eine zweite Person bekommt einen Anteil der Punkte über 0 und höchstens 1, nicht {}.</translation>
    </message>
    <message>
      <source>A segment is 2 pixels wide or more, not {}.</source>
      <translation>Ein Segment ist 2 Pixel breit oder mehr, nicht {}.</translation>
    </message>
    <message>
      <source>A shape has no class name; choose another field.</source>
      <translation>Eine Form hat keinen Klassennamen; wählen Sie ein anderes Feld.</translation>
    </message>
    <message>
      <source>A shapefile keeps {} bytes of a text; cut are some of {}.</source>
      <translation>Ein Shapefile behält {} Bytes eines Textes; gekürzt werden einige von {}.</translation>
    </message>
    <message>
      <source>A shapefile keeps {} characters of a column's name; cut are {}.</source>
      <translation>Ein Shapefile behält {} Zeichen eines Spaltennamens; gekürzt werden {}.</translation>
    </message>
    <message>
      <source>A small weight on near infrared spreads dense canopies that the plain index lumps together. Bare ground falls to about −0.8.</source>
      <translation>Ein kleines Gewicht auf dem nahen Infrarot spreizt dichte Bestände, die der einfache Index zusammenwirft. Offener Boden fällt auf etwa −0,8.</translation>
    </message>
    <message>
      <source>A spread is needed for every feature.</source>
      <translation>Für jedes Merkmal wird eine Streuung gebraucht.</translation>
    </message>
    <message>
      <source>A statistic over several dates that have these bands, pixel by pixel; dates without a value there do not count. The mean of radar is that of its power.</source>
      <translation>Eine Statistik über mehrere Daten, die diese Bänder haben, Pixel für Pixel; Daten ohne Wert zählen dort nicht. Das Mittel von Radar ist das seiner Leistung.</translation>
    </message>
    <message>
      <source>A study is a folder that keeps one piece of work: its scenes, maps, points and labels, and how each was made. It is saved after every step.</source>
      <translation>Eine Studie ist ein Ordner, der eine Arbeit aufbewahrt: ihre Szenen, Karten, Punkte und Angaben, und wie alles gemacht wurde. Sie wird nach jedem Schritt gespeichert.</translation>
    </message>
    <message>
      <source>A subclass of the model is of no class; train it again.</source>
      <translation>Eine Unterklasse des Modells gehört zu keiner Klasse; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>A table keeps one column at least.</source>
      <translation>Eine Tabelle behält mindestens eine Spalte.</translation>
    </message>
    <message>
      <source>A text cannot be computed with; compare it by = or &lt;&gt;.</source>
      <translation>Mit einem Text lässt sich nicht rechnen; vergleichen Sie ihn mit = oder &lt;&gt;.</translation>
    </message>
    <message>
      <source>A text has no place here; pixels hold numbers.</source>
      <translation>Ein Text hat hier keinen Platz; Pixel enthalten Zahlen.</translation>
    </message>
    <message>
      <source>A threshold</source>
      <translation>Ein Schwellenwert</translation>
    </message>
    <message>
      <source>A trained map</source>
      <translation>Eine trainierte Karte</translation>
    </message>
    <message>
      <source>A trained map needs training areas. Draw or import some first.</source>
      <translation>Eine trainierte Karte braucht Trainingsgebiete. Zeichnen oder importieren Sie zuerst welche.</translation>
    </message>
    <message>
      <source>A trained map of which each segment gets one class</source>
      <translation>Eine trainierte Karte, in der jedes Segment eine Klasse bekommt</translation>
    </message>
    <message>
      <source>A tree of the model is not complete; train it again.</source>
      <translation>Ein Baum des Modells ist unvollständig; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>A window has an odd number of pixels; take {} or {}.</source>
      <translation>Ein Fenster hat eine ungerade Zahl von Pixeln; nehmen Sie {} oder {}.</translation>
    </message>
    <message>
      <source>A window of {} pixels cannot vote; take an odd number from 3 to 101.</source>
      <translation>Ein Fenster von {} Pixeln kann nicht abstimmen; nehmen Sie eine ungerade Zahl von 3 bis 101.</translation>
    </message>
    <message>
      <source>A window of {} pixels has no middle; take an odd number.</source>
      <translation>Ein Fenster von {} Pixeln hat keine Mitte; nehmen Sie eine ungerade Zahl.</translation>
    </message>
    <message>
      <source>A3 landscape</source>
      <translation>A3 quer</translation>
    </message>
    <message>
      <source>A3 portrait</source>
      <translation>A3 hoch</translation>
    </message>
    <message>
      <source>A4 landscape</source>
      <translation>A4 quer</translation>
    </message>
    <message>
      <source>A4 portrait</source>
      <translation>A4 hoch</translation>
    </message>
    <message>
      <source>ASTER, 9 bands, surface reflectance</source>
      <translation>ASTER, 9 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>About %1 looks, by the evenest ground here.</source>
      <translation>Etwa %1 Looks, nach dem gleichmäßigsten Boden hier.</translation>
    </message>
    <message>
      <source>About %1 min of labelling at %2 s a point. A second labeller on a fifth of them: %3 min.</source>
      <translation>Etwa %1 min Bestimmung bei %2 s je Punkt. Eine zweite Person an einem Fünftel davon: %3 min.</translation>
    </message>
    <message>
      <source>About %1 min of labelling at your pace so far (%2 s a point). A second labeller on a fifth of them: %3 min.</source>
      <translation>Etwa %1 min Bestimmung in Ihrem bisherigen Tempo (%2 s je Punkt). Eine zweite Person an einem Fünftel davon: %3 min.</translation>
    </message>
    <message>
      <source>About how many pixels a segment has. Smaller than the smallest thing one wants to see on the map.</source>
      <translation>Wie viele Pixel ein Segment etwa hat. Kleiner als das Kleinste, das man auf der Karte sehen will.</translation>
    </message>
    <message>
      <source>Above 0 is built-up or bare.</source>
      <translation>Über 0 ist bebaut oder offen.</translation>
    </message>
    <message>
      <source>Above 0 is water.</source>
      <translation>Über 0 ist Wasser.</translation>
    </message>
    <message>
      <source>Above 0.4 is snow, where near infrared is above 0.11.</source>
      <translation>Über 0,4 ist Schnee, wo das nahe Infrarot über 0,11 liegt.</translation>
    </message>
    <message>
      <source>Above 0.63 is water.</source>
      <translation>Über 0,63 ist Wasser.</translation>
    </message>
    <message>
      <source>Accuracy</source>
      <translation>Genauigkeit</translation>
    </message>
    <message>
      <source>Across</source>
      <translation>Waagerecht</translation>
    </message>
    <message>
      <source>Add</source>
      <translation>Hinzufügen</translation>
    </message>
    <message>
      <source>Add a rule</source>
      <translation>Regel hinzufügen</translation>
    </message>
    <message>
      <source>Add a threshold</source>
      <translation>Schwellenwert hinzufügen</translation>
    </message>
    <message>
      <source>Add classes of a map</source>
      <translation>Klassen einer Karte hinzufügen</translation>
    </message>
    <message>
      <source>Add the areas of %1</source>
      <translation>Die Gebiete von %1 hinzufügen</translation>
    </message>
    <message>
      <source>Add the column</source>
      <translation>Die Spalte hinzufügen</translation>
    </message>
    <message>
      <source>Add the column %1</source>
      <translation>Die Spalte %1 hinzufügen</translation>
    </message>
    <message numerus="yes">
      <source>Add the column, %n values</source>
      <comment>Add the column, %n value</comment>
      <translation>
        <numerusform>Die Spalte hinzufügen, %n Wert</numerusform>
        <numerusform>Die Spalte hinzufügen, %n Werte</numerusform>
      </translation>
    </message>
    <message>
      <source>Add the residuals of %1</source>
      <translation>Die Residuen von %1 hinzufügen</translation>
    </message>
    <message>
      <source>Add what is missing</source>
      <translation>Fehlendes hinzufügen</translation>
    </message>
    <message>
      <source>Add…</source>
      <translation>Hinzufügen…</translation>
    </message>
    <message>
      <source>Adjoining scenes as one</source>
      <translation>Angrenzende Szenen als eine</translation>
    </message>
    <message>
      <source>After</source>
      <translation>Nachher</translation>
    </message>
    <message>
      <source>Against</source>
      <translation>Gegen</translation>
    </message>
    <message>
      <source>Against another's layer</source>
      <translation>Gegen die Ebene eines anderen</translation>
    </message>
    <message>
      <source>Against labels of other points</source>
      <translation>Gegen Angaben anderer Punkte</translation>
    </message>
    <message>
      <source>Algae</source>
      <translation>Algen</translation>
    </message>
    <message>
      <source>Alike in</source>
      <translation>Gleich in</translation>
    </message>
    <message>
      <source>All %1</source>
      <translation>Alle %1</translation>
    </message>
    <message numerus="yes">
      <source>All %1 differences are settled.</source>
      <comment>The one difference is settled.</comment>
      <translation>
        <numerusform>Der eine Unterschied ist entschieden.</numerusform>
        <numerusform>Alle %1 Unterschiede sind entschieden.</numerusform>
      </translation>
    </message>
    <message>
      <source>All but the outer 1 % at each end</source>
      <translation>Alle außer dem äußersten 1 % an jedem Ende</translation>
    </message>
    <message>
      <source>All changes count as one, and so does all that is as before</source>
      <translation>Alle Veränderungen zählen als eine, und ebenso alles, was wie vorher ist</translation>
    </message>
    <message>
      <source>All else is</source>
      <translation>Alles andere ist</translation>
    </message>
    <message>
      <source>All here is of the points alone, of which small classes have more than their share: this is not the accuracy of the map.</source>
      <translation>Alles hier gilt nur für die Punkte, unter denen kleine Klassen mehr als ihren Anteil haben: das ist nicht die Genauigkeit der Karte.</translation>
    </message>
    <message>
      <source>All here is weighted by area, since the points were drawn class by class (Olofsson and others 2014).</source>
      <translation>Alles hier ist nach Fläche gewichtet, da die Punkte je Klasse gezogen wurden (Olofsson und andere 2014).</translation>
    </message>
    <message>
      <source>All maps of the study at these points</source>
      <translation>Alle Karten der Studie an diesen Punkten</translation>
    </message>
    <message>
      <source>All of the scene, or blue, green and red alone.</source>
      <translation>Die ganze Szene, oder nur Blau, Grün und Rot.</translation>
    </message>
    <message>
      <source>All training pixels are empty; draw areas where the scene has values.</source>
      <translation>Alle Trainingspixel sind leer; zeichnen Sie Gebiete, wo die Szene Werte hat.</translation>
    </message>
    <message>
      <source>All values across are the same; there is no line through them.</source>
      <translation>Alle waagerechten Werte sind gleich; es geht keine Gerade hindurch.</translation>
    </message>
    <message>
      <source>Along</source>
      <translation>Entlang</translation>
    </message>
    <message>
      <source>Alt ↑, Alt ↓</source>
      <translation>Alt ↑, Alt ↓</translation>
    </message>
    <message>
      <source>An angle needs two features or more; one alone has no direction.</source>
      <translation>Ein Winkel braucht zwei Merkmale oder mehr; eines allein hat keine Richtung.</translation>
    </message>
    <message>
      <source>An area could not be cut ({}).</source>
      <translation>Ein Gebiet konnte nicht geschnitten werden ({}).</translation>
    </message>
    <message>
      <source>An area crosses itself; draw it anew.</source>
      <translation>Ein Gebiet schneidet sich selbst; zeichnen Sie es neu.</translation>
    </message>
    <message>
      <source>An index</source>
      <translation>Ein Index</translation>
    </message>
    <message>
      <source>An index of the book over the bands of a scene.</source>
      <translation>Ein Index des Buches über die Bänder einer Szene.</translation>
    </message>
    <message>
      <source>An index of your own.</source>
      <translation>Ein eigener Index.</translation>
    </message>
    <message>
      <source>An index of yours less the same quantity made elsewhere, and why they may differ.</source>
      <translation>Ein eigener Index minus dieselbe Größe von anderswo, und warum sie sich unterscheiden können.</translation>
    </message>
    <message>
      <source>An index puts bands against each other, so that light and shade fall out. The one chosen tells how green a place is, and the view shows its preview. Make it, and it stays as a card on the shelf below.</source>
      <translation>Ein Index setzt Bänder gegeneinander, sodass Licht und Schatten wegfallen. Der gewählte sagt, wie grün ein Ort ist, und die Ansicht zeigt seine Vorschau. Machen Sie ihn, und er bleibt als Kärtchen in der Ablage unten.</translation>
    </message>
    <message>
      <source>An input changed since this was made; bring it up to date from its card's menu.</source>
      <translation>Eine Eingabe hat sich geändert, seit dies gemacht wurde; bringen Sie es über das Menü seines Kärtchens auf den neuen Stand.</translation>
    </message>
    <message>
      <source>And date, its</source>
      <translation>Und Datum, sein</translation>
    </message>
    <message>
      <source>Angle</source>
      <translation>Winkel</translation>
    </message>
    <message>
      <source>Another</source>
      <translation>Weitere</translation>
    </message>
    <message>
      <source>Another catalogue…</source>
      <translation>Ein anderer Katalog…</translation>
    </message>
    <message>
      <source>Another run is making it now.</source>
      <translation>Ein anderer Lauf macht sie gerade.</translation>
    </message>
    <message>
      <source>Another seed: other places</source>
      <translation>Ein anderer Startwert: andere Orte</translation>
    </message>
    <message>
      <source>Another threshold</source>
      <translation>Ein weiterer Schwellenwert</translation>
    </message>
    <message>
      <source>Anywhere, every place with the same chance</source>
      <translation>Irgendwo, jeder Ort mit derselben Wahrscheinlichkeit</translation>
    </message>
    <message>
      <source>Apply a sensor preset</source>
      <translation>Eine Sensor-Voreinstellung anwenden</translation>
    </message>
    <message>
      <source>Archive</source>
      <translation>Archiv</translation>
    </message>
    <message>
      <source>Area</source>
      <translation>Fläche</translation>
    </message>
    <message>
      <source>Area %</source>
      <translation>Fläche %</translation>
    </message>
    <message>
      <source>Area %1, %2: %3</source>
      <translation>Gebiet %1, %2: %3</translation>
    </message>
    <message>
      <source>Areas in the key</source>
      <translation>Flächen im Schlüssel</translation>
    </message>
    <message>
      <source>Areas kept under a name, to be taken up again or added, and their export</source>
      <translation>Gebiete, unter einem Namen aufbewahrt, um sie wieder zu nehmen oder hinzuzufügen, und ihr Export</translation>
    </message>
    <message>
      <source>Areas of %1, odd ones first</source>
      <translation>Gebiete von %1, auffällige zuerst</translation>
    </message>
    <message>
      <source>Areas over many dates</source>
      <translation>Flächen über viele Daten</translation>
    </message>
    <message>
      <source>Around</source>
      <translation>Umgebung</translation>
    </message>
    <message>
      <source>Around zero</source>
      <translation>Um Null</translation>
    </message>
    <message>
      <source>Around, after</source>
      <translation>Umgebung, nachher</translation>
    </message>
    <message>
      <source>As before</source>
      <translation>Wie vorher</translation>
    </message>
    <message>
      <source>As it was at first</source>
      <translation>Wie zu Beginn</translation>
    </message>
    <message>
      <source>As k-means, but between passes wide groups are parted, near ones joined and small ones dissolved. How many come out is up to the data: from about half to twice as many as asked for.</source>
      <translation>Wie k-Means, doch zwischen den Durchgängen werden weite Gruppen geteilt, nahe vereint und kleine aufgelöst. Wie viele herauskommen, bestimmen die Daten: etwa die Hälfte bis das Doppelte der gewünschten.</translation>
    </message>
    <message>
      <source>As many in each class</source>
      <translation>Gleich viele in jeder Klasse</translation>
    </message>
    <message>
      <source>As the built-up index with the longer band, which growth absorbs more. Dry bare soil is as high as roofs.</source>
      <translation>Wie der Bebauungsindex mit dem längeren Band, das Bewuchs stärker aufnimmt. Trockener offener Boden ist so hoch wie Dächer.</translation>
    </message>
    <message>
      <source>As the green chlorophyll index, with less effect of leaf angle and soil. Needs a red-edge band.</source>
      <translation>Wie der Grün-Chlorophyll-Index, mit weniger Wirkung von Blattstellung und Boden. Braucht ein Red-Edge-Band.</translation>
    </message>
    <message>
      <source>As you set them</source>
      <translation>Wie Sie sie setzen</translation>
    </message>
    <message>
      <source>Ascending pass%1.</source>
      <translation>Aufsteigender Überflug%1.</translation>
    </message>
    <message>
      <source>Ask for at least one block.</source>
      <translation>Verlangen Sie mindestens einen Block.</translation>
    </message>
    <message>
      <source>Ask for at least one point.</source>
      <translation>Verlangen Sie mindestens einen Punkt.</translation>
    </message>
    <message>
      <source>Asking the archive…</source>
      <translation>Das Archiv wird gefragt…</translation>
    </message>
    <message>
      <source>Assess a matrix from elsewhere</source>
      <translation>Eine Matrix von anderswo beurteilen</translation>
    </message>
    <message>
      <source>Assess a matrix from elsewhere…</source>
      <translation>Eine Matrix von anderswo beurteilen…</translation>
    </message>
    <message>
      <source>Assumes:</source>
      <translation>Setzt voraus:</translation>
    </message>
    <message>
      <source>At</source>
      <translation>An</translation>
    </message>
    <message numerus="yes">
      <source>At %1 points something stands there. What it is in the legend:</source>
      <comment>At %1 point something stands there. What it is in the legend:</comment>
      <translation>
        <numerusform>An %1 Punkt steht dort etwas. Was es in der Legende ist:</numerusform>
        <numerusform>An %1 Punkten steht dort etwas. Was es in der Legende ist:</numerusform>
      </translation>
    </message>
    <message>
      <source>At least apart</source>
      <translation>Mindestens getrennt</translation>
    </message>
    <message>
      <source>At most apart</source>
      <translation>Höchstens getrennt</translation>
    </message>
    <message>
      <source>At the deepest valley between the two peaks of the histogram (Prewitt and Mendelsohn 1966)</source>
      <translation>Im tiefsten Tal zwischen den beiden Gipfeln des Histogramms (Prewitt und Mendelsohn 1966)</translation>
    </message>
    <message>
      <source>Atmospherically resistant vegetation index</source>
      <translation>Atmosphärenresistenter Vegetationsindex</translation>
    </message>
    <message>
      <source>Automated water extraction index, no shadow</source>
      <translation>Automatischer Wasserindex, ohne Schatten</translation>
    </message>
    <message>
      <source>Automated water extraction index, shadow</source>
      <translation>Automatischer Wasserindex, Schatten</translation>
    </message>
    <message>
      <source>Automatic</source>
      <translation>Automatisch</translation>
    </message>
    <message>
      <source>B5</source>
      <translation>B5</translation>
    </message>
    <message>
      <source>B7</source>
      <translation>B7</translation>
    </message>
    <message>
      <source>B8</source>
      <translation>B8</translation>
    </message>
    <message>
      <source>B9</source>
      <translation>B9</translation>
    </message>
    <message>
      <source>Back</source>
      <translation>Zurück</translation>
    </message>
    <message>
      <source>Back to the scenes</source>
      <translation>Zurück zu den Szenen</translation>
    </message>
    <message>
      <source>Back to training</source>
      <translation>Zurück zum Training</translation>
    </message>
    <message>
      <source>Backspace</source>
      <translation>Rücktaste</translation>
    </message>
    <message>
      <source>Backspace, Esc</source>
      <translation>Rücktaste, Esc</translation>
    </message>
    <message>
      <source>Badgley, Field and Berry 2017</source>
      <translation>Badgley, Field und Berry 2017</translation>
    </message>
    <message>
      <source>Ball and Hall 1965</source>
      <translation>Ball und Hall 1965</translation>
    </message>
    <message>
      <source>Band</source>
      <translation>Band</translation>
    </message>
    <message>
      <source>Band by band the median of the dates, or every pixel from the date at which it is greenest (Holben 1986). What is set aside is left out.</source>
      <translation>Band für Band der Median der Daten, oder jedes Pixel vom Datum, an dem es am grünsten ist (Holben 1986). Ausgenommenes bleibt weg.</translation>
    </message>
    <message>
      <source>Band {} is named twice; name each band once.</source>
      <translation>Band {} ist zweimal genannt; nennen Sie jedes einmal.</translation>
    </message>
    <message>
      <source>Bands</source>
      <translation>Bänder</translation>
    </message>
    <message>
      <source>Bands…</source>
      <translation>Bänder…</translation>
    </message>
    <message>
      <source>Bare ground</source>
      <translation>Offener Boden</translation>
    </message>
    <message>
      <source>Bare soil</source>
      <translation>Offener Boden</translation>
    </message>
    <message>
      <source>Bare soil by brightness: dry sand high, wet and organic soil low. Only on bare ground.</source>
      <translation>Offener Boden nach Helligkeit: trockener Sand hoch, nasser und humoser Boden niedrig. Nur auf offenem Boden.</translation>
    </message>
    <message>
      <source>Bare soil index</source>
      <translation>Index des offenen Bodens</translation>
    </message>
    <message>
      <source>Bare to green</source>
      <translation>Kahl bis grün</translation>
    </message>
    <message>
      <source>Becomes</source>
      <translation>Wird zu</translation>
    </message>
    <message>
      <source>Before</source>
      <translation>Vorher</translation>
    </message>
    <message>
      <source>Begin it anew</source>
      <translation>Neu beginnen</translation>
    </message>
    <message>
      <source>Below it</source>
      <translation>Darunter</translation>
    </message>
    <message>
      <source>Beside it</source>
      <translation>Daneben</translation>
    </message>
    <message>
      <source>Between</source>
      <translation>Dazwischen</translation>
    </message>
    <message>
      <source>Between %1</source>
      <translation>Zwischen %1</translation>
    </message>
    <message>
      <source>Between dates</source>
      <translation>Zwischen Daten</translation>
    </message>
    <message>
      <source>Bin</source>
      <translation>Papierkorb</translation>
    </message>
    <message>
      <source>Bin (%1)</source>
      <translation>Papierkorb (%1)</translation>
    </message>
    <message>
      <source>Bit %1 of the quality band</source>
      <translation>Bit %1 des Qualitätsbandes</translation>
    </message>
    <message>
      <source>Blocks</source>
      <translation>Blöcke</translation>
    </message>
    <message>
      <source>Blocks of {} are smaller than a pixel; make them larger.</source>
      <translation>Blöcke von {} sind kleiner als ein Pixel; machen Sie sie größer.</translation>
    </message>
    <message>
      <source>Blue channel</source>
      <translation>Blaukanal</translation>
    </message>
    <message>
      <source>Blue, which haze brightens most, corrects the red band. For scenes that were not corrected for the atmosphere; over water and shadow it is noisy.</source>
      <translation>Blau, das Dunst am stärksten aufhellt, berichtigt das rote Band. Für Szenen ohne Atmosphärenkorrektur; über Wasser und Schatten rauscht es.</translation>
    </message>
    <message>
      <source>Borders</source>
      <translation>Grenzen</translation>
    </message>
    <message>
      <source>Both are equally right.</source>
      <translation>Beide sind gleich oft richtig.</translation>
    </message>
    <message>
      <source>Both coordinates come from the column “{}”; name two.</source>
      <translation>Beide Koordinaten kommen aus der Spalte „{}“; nennen Sie zwei.</translation>
    </message>
    <message>
      <source>Both need places to be joined by place; join them by a column they share.</source>
      <translation>Beide brauchen Orte, um nach Ort verbunden zu werden; verbinden Sie sie über eine gemeinsame Spalte.</translation>
    </message>
    <message>
      <source>Bounded form of the ratio, steadier for thresholds. In power, not decibels.</source>
      <translation>Begrenzte Form des Verhältnisses, stetiger für Schwellenwerte. In Leistung, nicht in Dezibel.</translation>
    </message>
    <message>
      <source>Box: quartiles and median; whiskers: within one and a half boxes. Below each the number of cases.</source>
      <translation>Kasten: Quartile und Median; Fühler: innerhalb von eineinhalb Kästen. Darunter jeweils die Zahl der Fälle.</translation>
    </message>
    <message>
      <source>Breiman 2001</source>
      <translation>Breiman 2001</translation>
    </message>
    <message>
      <source>Bright</source>
      <translation>Hell</translation>
    </message>
    <message>
      <source>Brightness</source>
      <translation>Helligkeit</translation>
    </message>
    <message>
      <source>Brightness of the visible bands</source>
      <translation>Helligkeit der sichtbaren Bänder</translation>
    </message>
    <message>
      <source>Bring %1 up to date</source>
      <translation>%1 auf den neuen Stand bringen</translation>
    </message>
    <message>
      <source>Bring back</source>
      <translation>Zurückholen</translation>
    </message>
    <message>
      <source>Bring in</source>
      <translation>Hereinholen</translation>
    </message>
    <message>
      <source>Bring in %1</source>
      <translation>%1 hereinholen</translation>
    </message>
    <message>
      <source>Bring in %1 of them</source>
      <translation>%1 davon hereinholen</translation>
    </message>
    <message numerus="yes">
      <source>Bring in %n class maps</source>
      <comment>Bring in %n class map</comment>
      <translation>
        <numerusform>%n Klassenkarte hereinholen</numerusform>
        <numerusform>%n Klassenkarten hereinholen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>Bring in %n outlines</source>
      <comment>Bring in %n outline</comment>
      <translation>
        <numerusform>%n Umriss hereinholen</numerusform>
        <numerusform>%n Umrisse hereinholen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>Bring in %n quantities</source>
      <comment>Bring in %n quantity</comment>
      <translation>
        <numerusform>%n Größe hereinholen</numerusform>
        <numerusform>%n Größen hereinholen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>Bring in %n scenes</source>
      <comment>Bring in %n scene</comment>
      <translation>
        <numerusform>%n Szene hereinholen</numerusform>
        <numerusform>%n Szenen hereinholen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>Bring in %n tables</source>
      <comment>Bring in %n table</comment>
      <translation>
        <numerusform>%n Tabelle hereinholen</numerusform>
        <numerusform>%n Tabellen hereinholen</numerusform>
      </translation>
    </message>
    <message>
      <source>Bring in a class map</source>
      <translation>Eine Klassenkarte hereinholen</translation>
    </message>
    <message>
      <source>Bring in a folder</source>
      <translation>Einen Ordner hereinholen</translation>
    </message>
    <message>
      <source>Bring in a folder of bands</source>
      <translation>Einen Ordner mit Bändern hereinholen</translation>
    </message>
    <message>
      <source>Bring in a folder, such as one with a file a band</source>
      <translation>Einen Ordner hereinholen, etwa mit einer Datei je Band</translation>
    </message>
    <message>
      <source>Bring in a quantity</source>
      <translation>Eine Größe hereinholen</translation>
    </message>
    <message>
      <source>Bring in a scene</source>
      <translation>Eine Szene hereinholen</translation>
    </message>
    <message>
      <source>Bring in a scene first.</source>
      <translation>Holen Sie zuerst eine Szene herein.</translation>
    </message>
    <message>
      <source>Bring in a scene first: polygons become a map on its pixels.</source>
      <translation>Holen Sie zuerst eine Szene herein: Polygone werden zu einer Karte auf ihren Pixeln.</translation>
    </message>
    <message>
      <source>Bring in a table</source>
      <translation>Eine Tabelle hereinholen</translation>
    </message>
    <message>
      <source>Bring in a vector layer to lie over the pictures</source>
      <translation>Eine Vektorebene hereinholen, die über den Bildern liegt</translation>
    </message>
    <message>
      <source>Bring in an outline</source>
      <translation>Einen Umriss hereinholen</translation>
    </message>
    <message>
      <source>Bring in files</source>
      <translation>Dateien hereinholen</translation>
    </message>
    <message>
      <source>Bring in nothing</source>
      <translation>Nichts hereinholen</translation>
    </message>
    <message>
      <source>Bring in rasters, STAC items or a catalogue</source>
      <translation>Raster, STAC-Einträge oder einen Katalog hereinholen</translation>
    </message>
    <message>
      <source>Bring in scenes</source>
      <translation>Szenen hereinholen</translation>
    </message>
    <message>
      <source>Bring in the bands of a scene: one file, several, or a folder with a file a band. You can drop them on the window too.</source>
      <translation>Holen Sie die Bänder einer Szene herein: eine Datei, mehrere oder einen Ordner mit einer Datei je Band. Sie können sie auch auf das Fenster ziehen.</translation>
    </message>
    <message>
      <source>Bring in the points</source>
      <translation>Die Punkte hereinholen</translation>
    </message>
    <message>
      <source>Bring up to date</source>
      <translation>Auf den neuen Stand bringen</translation>
    </message>
    <message>
      <source>Broge and Leblanc 2001</source>
      <translation>Broge und Leblanc 2001</translation>
    </message>
    <message>
      <source>Brought onto this grid while computing: {}. Nothing is rewritten.</source>
      <translation>Beim Rechnen auf dieses Gitter gebracht: {}. Nichts wird neu geschrieben.</translation>
    </message>
    <message>
      <source>Brought to another scene's light</source>
      <translation>In das Licht einer anderen Szene gebracht</translation>
    </message>
    <message>
      <source>Brovey</source>
      <translation>Brovey</translation>
    </message>
    <message>
      <source>Brush</source>
      <translation>Pinsel</translation>
    </message>
    <message>
      <source>Built to change little with the atmosphere on uncorrected scenes. Bright soil reads like growth, so it fails where cover is thin.</source>
      <translation>Gebaut, um sich mit der Atmosphäre auf unkorrigierten Szenen wenig zu ändern. Heller Boden sieht aus wie Bewuchs; daher versagt er, wo die Bedeckung dünn ist.</translation>
    </message>
    <message>
      <source>Built-up</source>
      <translation>Bebaut</translation>
    </message>
    <message>
      <source>Built-up from three indices</source>
      <translation>Bebauung aus drei Indizes</translation>
    </message>
    <message>
      <source>Built-up index</source>
      <translation>Bebauungsindex</translation>
    </message>
    <message>
      <source>Built-up less growth</source>
      <translation>Bebaut minus Bewuchs</translation>
    </message>
    <message>
      <source>Built-up or bare</source>
      <translation>Bebaut oder offen</translation>
    </message>
    <message>
      <source>Built-up, long short-wave</source>
      <translation>Bebaut, langwelliges Infrarot</translation>
    </message>
    <message>
      <source>Burn</source>
      <translation>Brand</translation>
    </message>
    <message>
      <source>Burn, short-wave</source>
      <translation>Brand, kurzwellig</translation>
    </message>
    <message>
      <source>Burned area index</source>
      <translation>Brandflächenindex</translation>
    </message>
    <message>
      <source>Burnt</source>
      <translation>Verbrannt</translation>
    </message>
    <message>
      <source>Burnt ground</source>
      <translation>Verbrannter Boden</translation>
    </message>
    <message>
      <source>Burnt ground, short-wave</source>
      <translation>Verbrannter Boden, kurzwellig</translation>
    </message>
    <message>
      <source>By</source>
      <translation>Nach</translation>
    </message>
    <message>
      <source>By area</source>
      <translation>Nach Fläche</translation>
    </message>
    <message>
      <source>By group</source>
      <translation>Nach Gruppe</translation>
    </message>
    <message>
      <source>By hand</source>
      <translation>Von Hand</translation>
    </message>
    <message>
      <source>By model</source>
      <translation>Mit Modell</translation>
    </message>
    <message>
      <source>By number</source>
      <translation>Nach Anzahl</translation>
    </message>
    <message>
      <source>By rules</source>
      <translation>Nach Regeln</translation>
    </message>
    <message>
      <source>By spacing</source>
      <translation>Nach Abstand</translation>
    </message>
    <message>
      <source>By the model</source>
      <translation>Nach dem Modell</translation>
    </message>
    <message>
      <source>By the signatures</source>
      <translation>Nach den Signaturen</translation>
    </message>
    <message>
      <source>By themselves, %1 clusters part best. Classes are often narrower than that: take more and join them by name. More clusters are not more accuracy.</source>
      <translation>Von selbst trennen sich %1 Cluster am besten. Klassen sind oft enger: nehmen Sie mehr und vereinen Sie sie durch Namen. Mehr Cluster sind nicht mehr Genauigkeit.</translation>
    </message>
    <message>
      <source>C</source>
      <translation>C</translation>
    </message>
    <message>
      <source>C, V, L</source>
      <translation>C, V, L</translation>
    </message>
    <message>
      <source>CBERS-4 MUX, 4 bands, raw counts</source>
      <translation>CBERS-4 MUX, 4 Bänder, Rohwerte</translation>
    </message>
    <message>
      <source>CSV (*.csv)</source>
      <translation>CSV (*.csv)</translation>
    </message>
    <message>
      <source>CSV parted by</source>
      <translation>CSV getrennt durch</translation>
    </message>
    <message>
      <source>Cancel</source>
      <translation>Abbrechen</translation>
    </message>
    <message>
      <source>Carotenoids outlast chlorophyll: ripening crops, cut reed and autumn leaves are high. Bare soil is high too.</source>
      <translation>Carotinoide überdauern Chlorophyll: reifende Feldfrüchte, geschnittenes Schilf und Herbstlaub sind hoch. Offener Boden auch.</translation>
    </message>
    <message>
      <source>Catalogue: %1</source>
      <translation>Katalog: %1</translation>
    </message>
    <message>
      <source>Ceccato et al. 2002</source>
      <translation>Ceccato und andere 2002</translation>
    </message>
    <message>
      <source>Cells</source>
      <translation>Zellen</translation>
    </message>
    <message>
      <source>Cells cut the area into equal pieces, to be read and compared.</source>
      <translation>Zellen teilen die Fläche in gleiche Stücke, um sie abzulesen und zu vergleichen.</translation>
    </message>
    <message>
      <source>Cells of %1 %2</source>
      <translation>Zellen von %1 %2</translation>
    </message>
    <message>
      <source>Cells of {} are far too large for this area; make them smaller.</source>
      <translation>Zellen von {} sind für diese Fläche viel zu groß; machen Sie sie kleiner.</translation>
    </message>
    <message>
      <source>Chance</source>
      <translation>Zufall</translation>
    </message>
    <message>
      <source>Chance makes such differences, too (z = %1, p = %2).</source>
      <translation>Auch Zufall macht solche Unterschiede (z = %1, p = %2).</translation>
    </message>
    <message numerus="yes">
      <source>Change %n rows</source>
      <comment>Change %n row</comment>
      <translation>
        <numerusform>%n Zeile ändern</numerusform>
        <numerusform>%n Zeilen ändern</numerusform>
      </translation>
    </message>
    <message>
      <source>Change a class</source>
      <translation>Eine Klasse ändern</translation>
    </message>
    <message>
      <source>Change a date</source>
      <translation>Ein Datum ändern</translation>
    </message>
    <message>
      <source>Change a ramp</source>
      <translation>Einen Farbverlauf ändern</translation>
    </message>
    <message>
      <source>Change a role</source>
      <translation>Eine Rolle ändern</translation>
    </message>
    <message>
      <source>Change a scale</source>
      <translation>Einen Maßstab ändern</translation>
    </message>
    <message>
      <source>Change an area of %1</source>
      <translation>Ein Gebiet von %1 ändern</translation>
    </message>
    <message>
      <source>Change an offset</source>
      <translation>Einen Versatz ändern</translation>
    </message>
    <message>
      <source>Change how an outline looks</source>
      <translation>Das Aussehen eines Umrisses ändern</translation>
    </message>
    <message>
      <source>Change of %1</source>
      <translation>Veränderung von %1</translation>
    </message>
    <message>
      <source>Change of classes</source>
      <translation>Veränderung der Klassen</translation>
    </message>
    <message>
      <source>Change rows</source>
      <translation>Zeilen ändern</translation>
    </message>
    <message>
      <source>Change the no-data value</source>
      <translation>Den Wert für keine Daten ändern</translation>
    </message>
    <message>
      <source>Change values</source>
      <translation>Werte ändern</translation>
    </message>
    <message>
      <source>Change values of %1</source>
      <translation>Werte von %1 ändern</translation>
    </message>
    <message>
      <source>Change what the values are</source>
      <translation>Ändern, was die Werte sind</translation>
    </message>
    <message>
      <source>Changed</source>
      <translation>Verändert</translation>
    </message>
    <message>
      <source>Changed or not</source>
      <translation>Verändert oder nicht</translation>
    </message>
    <message>
      <source>Channel</source>
      <translation>Kanal</translation>
    </message>
    <message>
      <source>Char in soil</source>
      <translation>Kohle im Boden</translation>
    </message>
    <message>
      <source>Char soil index</source>
      <translation>Kohle-Boden-Index</translation>
    </message>
    <message>
      <source>Charred</source>
      <translation>Verkohlt</translation>
    </message>
    <message>
      <source>Chart as a picture</source>
      <translation>Diagramm als Bild</translation>
    </message>
    <message>
      <source>Charts</source>
      <translation>Diagramme</translation>
    </message>
    <message>
      <source>Chlorophyll absorption</source>
      <translation>Chlorophyllabsorption</translation>
    </message>
    <message>
      <source>Chlorophyll in water reflects near 708 nm and absorbs in red. Only inside water; sun glint disturbs it.</source>
      <translation>Chlorophyll im Wasser reflektiert nahe 708 nm und absorbiert im Rot. Nur innerhalb von Wasser; Sonnenglitzern stört.</translation>
    </message>
    <message>
      <source>Chlorophyll, green band</source>
      <translation>Chlorophyll, grünes Band</translation>
    </message>
    <message>
      <source>Chlorophyll, red edge</source>
      <translation>Chlorophyll, Red Edge</translation>
    </message>
    <message>
      <source>Choose a STAC catalogue on this machine to search it.</source>
      <translation>Wählen Sie einen STAC-Katalog auf diesem Rechner, um ihn zu durchsuchen.</translation>
    </message>
    <message>
      <source>Choose a catalogue</source>
      <translation>Einen Katalog wählen</translation>
    </message>
    <message>
      <source>Choose a file…</source>
      <translation>Eine Datei wählen…</translation>
    </message>
    <message>
      <source>Choose a model, or signatures, that were saved before.</source>
      <translation>Wählen Sie ein Modell oder Signaturen, die früher gespeichert wurden.</translation>
    </message>
    <message>
      <source>Choose a place in the list first.</source>
      <translation>Wählen Sie zuerst einen Ort der Liste.</translation>
    </message>
    <message>
      <source>Choose a quality band</source>
      <translation>Ein Qualitätsband wählen</translation>
    </message>
    <message>
      <source>Choose among the bands of the scene in hand</source>
      <translation>Wählen Sie unter den Bändern der gewählten Szene</translation>
    </message>
    <message>
      <source>Choose an outline of the list first.</source>
      <translation>Wählen Sie zuerst einen Umriss der Liste.</translation>
    </message>
    <message>
      <source>Choose another map at the left. A study with one map has nothing to compare it with yet.</source>
      <translation>Wählen Sie links eine andere Karte. Eine Studie mit einer Karte hat noch nichts zum Vergleichen.</translation>
    </message>
    <message>
      <source>Choose at least one band or feature.</source>
      <translation>Wählen Sie mindestens ein Band oder Merkmal.</translation>
    </message>
    <message>
      <source>Choose at least one statistic.</source>
      <translation>Wählen Sie mindestens eine Statistik.</translation>
    </message>
    <message>
      <source>Choose scenes…</source>
      <translation>Szenen wählen…</translation>
    </message>
    <message>
      <source>Choose the class to draw first, or make a new one.</source>
      <translation>Wählen Sie zuerst die Klasse, die Sie zeichnen, oder legen Sie eine neue an.</translation>
    </message>
    <message>
      <source>Choose the field with the class code or the class name.</source>
      <translation>Wählen Sie das Feld mit dem Klassencode oder dem Klassennamen.</translation>
    </message>
    <message>
      <source>Choose the study area</source>
      <translation>Das Untersuchungsgebiet wählen</translation>
    </message>
    <message>
      <source>Choose two different layers.</source>
      <translation>Wählen Sie zwei verschiedene Ebenen.</translation>
    </message>
    <message>
      <source>Choose two different maps.</source>
      <translation>Wählen Sie zwei verschiedene Karten.</translation>
    </message>
    <message>
      <source>Choose two different scenes.</source>
      <translation>Wählen Sie zwei verschiedene Szenen.</translation>
    </message>
    <message>
      <source>Chosen bands as one file</source>
      <translation>Gewählte Bänder als eine Datei</translation>
    </message>
    <message>
      <source>Chuvieco, Martín and Palacios 2002</source>
      <translation>Chuvieco, Martín und Palacios 2002</translation>
    </message>
    <message>
      <source>Class</source>
      <translation>Klasse</translation>
    </message>
    <message>
      <source>Class %1</source>
      <translation>Klasse %1</translation>
    </message>
    <message>
      <source>Class by class</source>
      <translation>Klasse für Klasse</translation>
    </message>
    <message>
      <source>Class by class, areas corrected for map errors</source>
      <translation>Klasse für Klasse, Flächen um Kartenfehler berichtigt</translation>
    </message>
    <message>
      <source>Class code in</source>
      <translation>Klassencode in</translation>
    </message>
    <message>
      <source>Class field</source>
      <translation>Klassenfeld</translation>
    </message>
    <message>
      <source>Class maps</source>
      <translation>Klassenkarten</translation>
    </message>
    <message>
      <source>Class name in</source>
      <translation>Klassenname in</translation>
    </message>
    <message>
      <source>Class of %1</source>
      <translation>Klasse von %1</translation>
    </message>
    <message>
      <source>Class of rule %1</source>
      <translation>Klasse der Regel %1</translation>
    </message>
    <message>
      <source>Class of what no rule gives one</source>
      <translation>Klasse dessen, dem keine Regel eine gibt</translation>
    </message>
    <message>
      <source>Class {} is not in the matrix.</source>
      <translation>Klasse {} ist nicht in der Matrix.</translation>
    </message>
    <message>
      <source>Class {} is on the map but has no labelled point; label points in every class before weighting by area.</source>
      <translation>Klasse {} ist auf der Karte, hat aber keinen bestimmten Punkt; bestimmen Sie Punkte in jeder Klasse, bevor Sie nach Fläche gewichten.</translation>
    </message>
    <message>
      <source>Class {} of the legend has no name; give it one.</source>
      <translation>Klasse {} der Legende hat keinen Namen; geben Sie ihr einen.</translation>
    </message>
    <message>
      <source>Class {} of the legend needs a whole-number “code” and a “name”.</source>
      <translation>Klasse {} der Legende braucht einen ganzzahligen „code“ und einen „name“.</translation>
    </message>
    <message>
      <source>Classed</source>
      <translation>Eingeteilt</translation>
    </message>
    <message>
      <source>Classes</source>
      <translation>Klassen</translation>
    </message>
    <message>
      <source>Classes and area…</source>
      <translation>Klassen und Fläche…</translation>
    </message>
    <message>
      <source>Classes are about equally common and equally wide; then it gives what maximum likelihood gives, without leaning to narrow classes.</source>
      <translation>Die Klassen sind etwa gleich häufig und gleich weit; dann ergibt es, was Maximum Likelihood ergibt, ohne enge Klassen zu bevorzugen.</translation>
    </message>
    <message>
      <source>Classes are about equally wide in all features. It needs few training pixels and is a good first look.</source>
      <translation>Die Klassen sind in allen Merkmalen etwa gleich weit. Es braucht wenige Trainingspixel und ist ein guter erster Blick.</translation>
    </message>
    <message>
      <source>Classes by rules</source>
      <translation>Klassen nach Regeln</translation>
    </message>
    <message>
      <source>Classes kept of</source>
      <translation>Behaltene Klassen von</translation>
    </message>
    <message>
      <source>Classes matched</source>
      <translation>Klassen zugeordnet</translation>
    </message>
    <message>
      <source>Classes of the first map that count</source>
      <translation>Klassen der ersten Karte, die zählen</translation>
    </message>
    <message>
      <source>Classes of the legend</source>
      <translation>Klassen der Legende</translation>
    </message>
    <message>
      <source>Classes that stay as they are</source>
      <translation>Klassen, die bleiben, wie sie sind</translation>
    </message>
    <message>
      <source>Classes with training</source>
      <translation>Klassen mit Training</translation>
    </message>
    <message>
      <source>Clay and alunite absorb near 2200 nm. Growth and water are high as well: mask them.</source>
      <translation>Ton und Alunit absorbieren nahe 2200 nm. Bewuchs und Wasser sind ebenfalls hoch: nehmen Sie sie aus.</translation>
    </message>
    <message>
      <source>Clay minerals</source>
      <translation>Tonminerale</translation>
    </message>
    <message>
      <source>Clay or growth</source>
      <translation>Ton oder Bewuchs</translation>
    </message>
    <message>
      <source>Click a pixel in the view: what is like it and connected with it is set aside</source>
      <translation>Klicken Sie auf ein Pixel in der Ansicht: was ihm gleicht und mit ihm zusammenhängt, wird ausgenommen</translation>
    </message>
    <message>
      <source>Click a pixel; those around that are like it make the area.</source>
      <translation>Klicken Sie auf ein Pixel; die ihm gleichenden ringsum ergeben das Gebiet.</translation>
    </message>
    <message>
      <source>Click around the area. Esc stops.</source>
      <translation>Klicken Sie um das Gebiet herum. Esc hält an.</translation>
    </message>
    <message>
      <source>Click in the view to put a point down.</source>
      <translation>Klicken Sie in die Ansicht, um einen Punkt zu setzen.</translation>
    </message>
    <message>
      <source>Click its corners in the view; Enter closes it</source>
      <translation>Klicken Sie die Ecken in der Ansicht; Eingabe schließt es</translation>
    </message>
    <message>
      <source>Click the scenes to fetch.</source>
      <translation>Klicken Sie auf die Szenen, die geholt werden sollen.</translation>
    </message>
    <message>
      <source>Click: front picture. Shift-click: back picture. Double-click: facts.</source>
      <translation>Klick: vorderes Bild. Umschalt-Klick: hinteres Bild. Doppelklick: Angaben.</translation>
    </message>
    <message>
      <source>Close</source>
      <translation>Schließen</translation>
    </message>
    <message>
      <source>Close the labelling and see the matrix</source>
      <translation>Die Bestimmung abschließen und die Matrix sehen</translation>
    </message>
    <message>
      <source>Close the labelling. From here on the map is seen, so no more labels are given blindly.</source>
      <translation>Schließen Sie die Bestimmung ab. Von hier an ist die Karte zu sehen, und niemand bestimmt mehr blind.</translation>
    </message>
    <message>
      <source>Close the list of classes</source>
      <translation>Die Liste der Klassen schließen</translation>
    </message>
    <message>
      <source>Close the study</source>
      <translation>Die Studie schließen</translation>
    </message>
    <message>
      <source>Close this line</source>
      <translation>Diese Zeile schließen</translation>
    </message>
    <message>
      <source>Close to the enhanced index without a blue band, so it works on sensors that have none and is quieter over haze and water. Needs true reflectance.</source>
      <translation>Nahe am verbesserten Index, ohne blaues Band; arbeitet daher mit Sensoren, die keines haben, und ist ruhiger über Dunst und Wasser. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>Close “%1”</source>
      <translation>„%1“ schließen</translation>
    </message>
    <message>
      <source>Cloud</source>
      <translation>Wolke</translation>
    </message>
    <message>
      <source>Cluster %1</source>
      <translation>Cluster %1</translation>
    </message>
    <message>
      <source>Cluster %1 over %2</source>
      <translation>Cluster %1 über %2</translation>
    </message>
    <message>
      <source>Clustered</source>
      <translation>In Clustern</translation>
    </message>
    <message>
      <source>Clustered map</source>
      <translation>Karte aus Clustern</translation>
    </message>
    <message>
      <source>Clusters</source>
      <translation>Cluster</translation>
    </message>
    <message>
      <source>Clusters named</source>
      <translation>Cluster benannt</translation>
    </message>
    <message>
      <source>Clusters, %1</source>
      <translation>Cluster, %1</translation>
    </message>
    <message>
      <source>Code %1. %2</source>
      <translation>Code %1. %2</translation>
    </message>
    <message>
      <source>Code {} is “{}” in “{}” and “{}” in one before; bring them in with one legend first.</source>
      <translation>Code {} ist „{}“ in „{}“ und „{}“ in einer früheren; holen Sie sie zuerst mit einer Legende herein.</translation>
    </message>
    <message>
      <source>Code, name</source>
      <translation>Code, Name</translation>
    </message>
    <message>
      <source>Colour</source>
      <translation>Farbe</translation>
    </message>
    <message>
      <source>Colour of rule %1</source>
      <translation>Farbe der Regel %1</translation>
    </message>
    <message>
      <source>Colour of the class</source>
      <translation>Farbe der Klasse</translation>
    </message>
    <message>
      <source>Colour of the outline</source>
      <translation>Farbe des Umrisses</translation>
    </message>
    <message>
      <source>Colour…</source>
      <translation>Farbe…</translation>
    </message>
    <message>
      <source>Column</source>
      <translation>Spalte</translation>
    </message>
    <message>
      <source>Column %</source>
      <translation>Spalten-%</translation>
    </message>
    <message>
      <source>Column with the names of the regions</source>
      <translation>Spalte mit den Namen der Regionen</translation>
    </message>
    <message>
      <source>Column, and its</source>
      <translation>Spalte, und ihre</translation>
    </message>
    <message>
      <source>Columns are the map</source>
      <translation>Spalten sind die Karte</translation>
    </message>
    <message>
      <source>Columns by their names, in braces where a name is no plain word. Texts and dates in quotes. + - * / ^, comparisons, and, or, not, when … then … else, min, max, abs, sqrt, log10, exp.</source>
      <translation>Spalten bei ihrem Namen, in geschweiften Klammern, wo ein Name kein einfaches Wort ist. Texte und Daten in Anführungszeichen. + - * / ^, Vergleiche, and, or, not, when … then … else, min, max, abs, sqrt, log10, exp.</translation>
    </message>
    <message>
      <source>Columns of</source>
      <translation>Spalten von</translation>
    </message>
    <message>
      <source>Column…</source>
      <translation>Spalte…</translation>
    </message>
    <message>
      <source>Combine</source>
      <translation>Verbinden</translation>
    </message>
    <message>
      <source>Combine the dates</source>
      <translation>Die Daten verbinden</translation>
    </message>
    <message>
      <source>Combining takes two class maps or more.</source>
      <translation>Verbinden nimmt zwei Klassenkarten oder mehr.</translation>
    </message>
    <message>
      <source>Compactness</source>
      <translation>Kompaktheit</translation>
    </message>
    <message>
      <source>Compare maps</source>
      <translation>Karten vergleichen</translation>
    </message>
    <message>
      <source>Compare the layers</source>
      <translation>Die Ebenen vergleichen</translation>
    </message>
    <message>
      <source>Compare with</source>
      <translation>Vergleichen mit</translation>
    </message>
    <message>
      <source>Comparison</source>
      <translation>Vergleich</translation>
    </message>
    <message>
      <source>Comparisons are not chained; join two of them with “and”.</source>
      <translation>Vergleiche werden nicht verkettet; verbinden Sie zwei davon mit „and“.</translation>
    </message>
    <message>
      <source>Conditions over several indices and bands, straight to classes.</source>
      <translation>Bedingungen über mehrere Indizes und Bänder, gleich zu Klassen.</translation>
    </message>
    <message>
      <source>Confusion matrix</source>
      <translation>Fehlermatrix</translation>
    </message>
    <message>
      <source>Confusion matrix of “%1”</source>
      <translation>Fehlermatrix von „%1“</translation>
    </message>
    <message>
      <source>Contrast and entropy are high where it is rough, homogeneity where it is smooth, correlation where it changes gently.</source>
      <translation>Kontrast und Entropie sind hoch, wo es rau ist, Homogenität, wo es glatt ist, Korrelation, wo es sich sanft ändert.</translation>
    </message>
    <message numerus="yes">
      <source>Copy %n rows</source>
      <comment>Copy %n row</comment>
      <translation>
        <numerusform>%n Zeile kopieren</numerusform>
        <numerusform>%n Zeilen kopieren</numerusform>
      </translation>
    </message>
    <message>
      <source>Copy all rows</source>
      <translation>Alle Zeilen kopieren</translation>
    </message>
    <message>
      <source>Copy lines of two columns, what tells the row and its value, wherever they are; they are taken from the clipboard.</source>
      <translation>Kopieren Sie Zeilen mit zwei Spalten, was die Zeile bezeichnet und ihren Wert, wo immer sie stehen; sie werden aus der Zwischenablage genommen.</translation>
    </message>
    <message>
      <source>Correct an area to %1</source>
      <translation>Ein Gebiet zu %1 berichtigen</translation>
    </message>
    <message>
      <source>Correct it</source>
      <translation>Berichtigen</translation>
    </message>
    <message>
      <source>Correct the light</source>
      <translation>Das Licht berichtigen</translation>
    </message>
    <message>
      <source>Correct where a scene lies</source>
      <translation>Berichtigen, wo eine Szene liegt</translation>
    </message>
    <message>
      <source>Corrections by hand</source>
      <translation>Korrekturen von Hand</translation>
    </message>
    <message>
      <source>Corrects the vegetation index for soil and, by the blue band, for haze, and saturates later over dense growth. Needs true reflectance, 0 to 1: on raw counts it means nothing. Clouds and snow throw it out of its range.</source>
      <translation>Berichtigt den Vegetationsindex um den Boden und, durch das blaue Band, um Dunst, und sättigt über dichtem Bewuchs später. Braucht echte Reflexion, 0 bis 1: auf Rohwerten bedeutet er nichts. Wolken und Schnee werfen ihn aus seinem Bereich.</translation>
    </message>
    <message>
      <source>Correlation</source>
      <translation>Korrelation</translation>
    </message>
    <message>
      <source>Cortes and Vapnik 1995; search by cross-validation over training areas</source>
      <translation>Cortes und Vapnik 1995; Suche durch Kreuzvalidierung über Trainingsgebiete</translation>
    </message>
    <message>
      <source>Count</source>
      <translation>Anzahl</translation>
    </message>
    <message>
      <source>Count both as one</source>
      <translation>Beide als eine zählen</translation>
    </message>
    <message>
      <source>Count, mean, spread and quartiles of</source>
      <translation>Anzahl, Mittel, Streuung und Quartile von</translation>
    </message>
    <message>
      <source>Counting…</source>
      <translation>Es wird gezählt…</translation>
    </message>
    <message>
      <source>Counts</source>
      <translation>Anzahlen</translation>
    </message>
    <message>
      <source>Covariance</source>
      <translation>Kovarianz</translation>
    </message>
    <message>
      <source>Cover and Hart 1967</source>
      <translation>Cover und Hart 1967</translation>
    </message>
    <message>
      <source>Cover to soil</source>
      <translation>Bedeckung zu Boden</translation>
    </message>
    <message>
      <source>Cover, %1</source>
      <translation>Bedeckung, %1</translation>
    </message>
    <message>
      <source>Cover, named clusters</source>
      <translation>Bedeckung, benannte Cluster</translation>
    </message>
    <message>
      <source>Credit</source>
      <translation>Quelle</translation>
    </message>
    <message>
      <source>Crop residue</source>
      <translation>Ernterückstand</translation>
    </message>
    <message>
      <source>Cross to like polarisation</source>
      <translation>Kreuz- zu gleicher Polarisation</translation>
    </message>
    <message>
      <source>Ctrl A, Esc</source>
      <translation>Strg A, Esc</translation>
    </message>
    <message>
      <source>Ctrl C</source>
      <translation>Strg C</translation>
    </message>
    <message>
      <source>Ctrl K</source>
      <translation>Strg K</translation>
    </message>
    <message>
      <source>Ctrl N makes one</source>
      <translation>Strg N legt eine an</translation>
    </message>
    <message>
      <source>Ctrl N, Ctrl O</source>
      <translation>Strg N, Strg O</translation>
    </message>
    <message>
      <source>Ctrl Q</source>
      <translation>Strg Q</translation>
    </message>
    <message>
      <source>Ctrl Z, Ctrl Shift Z</source>
      <translation>Strg Z, Strg Umschalt Z</translation>
    </message>
    <message>
      <source>Ctrl ← →</source>
      <translation>Strg ← →</translation>
    </message>
    <message>
      <source>Curtain</source>
      <translation>Vorhang</translation>
    </message>
    <message>
      <source>Curtain: back picture left, front picture right (C)</source>
      <translation>Vorhang: hinteres Bild links, vorderes Bild rechts (C)</translation>
    </message>
    <message>
      <source>Curved ones (radial kernel) follow classes of any shape; straight ones (linear) are quicker and do with many features and little training.</source>
      <translation>Gekrümmte (radialer Kern) folgen Klassen jeder Form; gerade (linear) sind schneller und kommen mit vielen Merkmalen und wenig Training aus.</translation>
    </message>
    <message>
      <source>D</source>
      <translation>D</translation>
    </message>
    <message>
      <source>Dark object is</source>
      <translation>Dunkles Objekt ist</translation>
    </message>
    <message>
      <source>Dark to light</source>
      <translation>Dunkel bis hell</translation>
    </message>
    <message>
      <source>Dark-object subtraction (Chavez 1988): what the darkest pixels of the starting band show, and less of it in longer wavelengths.</source>
      <translation>Abzug des dunklen Objekts (Chavez 1988): was die dunkelsten Pixel des Ausgangsbandes zeigen, und in längeren Wellen weniger davon.</translation>
    </message>
    <message>
      <source>Dashed: %1, %2 pixels there, %3 here. Jeffries–Matusita distance %4 of 2.</source>
      <translation>Gestrichelt: %1, %2 Pixel dort, %3 hier. Jeffries-Matusita-Abstand %4 von 2.</translation>
    </message>
    <message>
      <source>Date</source>
      <translation>Datum</translation>
    </message>
    <message>
      <source>Date of the scene</source>
      <translation>Datum der Szene</translation>
    </message>
    <message>
      <source>Dates</source>
      <translation>Daten</translation>
    </message>
    <message>
      <source>Daughtry et al. 2000</source>
      <translation>Daughtry und andere 2000</translation>
    </message>
    <message>
      <source>Days</source>
      <translation>Tage</translation>
    </message>
    <message>
      <source>Decibels</source>
      <translation>Dezibel</translation>
    </message>
    <message>
      <source>Decimal</source>
      <translation>Dezimalzeichen</translation>
    </message>
    <message>
      <source>Delete</source>
      <translation>Löschen</translation>
    </message>
    <message>
      <source>Dense growth</source>
      <translation>Dichter Bewuchs</translation>
    </message>
    <message>
      <source>Depth</source>
      <translation>Tiefe</translation>
    </message>
    <message>
      <source>Depth of the absorption in red.</source>
      <translation>Tiefe der Absorption im Rot.</translation>
    </message>
    <message>
      <source>Descending pass%1.</source>
      <translation>Absteigender Überflug%1.</translation>
    </message>
    <message>
      <source>Describe the legend</source>
      <translation>Die Legende beschreiben</translation>
    </message>
    <message>
      <source>Description</source>
      <translation>Beschreibung</translation>
    </message>
    <message>
      <source>Difference of the index</source>
      <translation>Differenz des Index</translation>
    </message>
    <message>
      <source>Difference vegetation index</source>
      <translation>Differenz-Vegetationsindex</translation>
    </message>
    <message>
      <source>Disagreement of %1 and %2</source>
      <translation>Widerspruch von %1 und %2</translation>
    </message>
    <message>
      <source>Distance from all training, in that of training areas from each other; above 1 the class is a guess</source>
      <translation>Abstand von allem Training, in dem der Trainingsgebiete voneinander; über 1 ist die Klasse geraten</translation>
    </message>
    <message>
      <source>Distances in degrees tell nothing; give the first layer in a system in metres.</source>
      <translation>Abstände in Grad sagen nichts; geben Sie die erste Ebene in einem System in Metern.</translation>
    </message>
    <message>
      <source>Distances in the spread of each feature, so that features of other units count alike, or in the numbers as they are.</source>
      <translation>Abstände in der Streuung jedes Merkmals, sodass Merkmale anderer Einheiten gleich zählen, oder in den Zahlen, wie sie sind.</translation>
    </message>
    <message>
      <source>Done: see where you differ</source>
      <translation>Fertig: sehen, wo Sie verschieden sind</translation>
    </message>
    <message>
      <source>Double bounce against volume scattering in L band: below 0.3 closed forest, 0.4 to 0.6 open, above cleared. In power.</source>
      <translation>Doppelreflexion gegen Volumenstreuung im L-Band: unter 0,3 geschlossener Wald, 0,4 bis 0,6 offener, darüber gerodet. In Leistung.</translation>
    </message>
    <message>
      <source>Double-click a name to change it</source>
      <translation>Doppelklicken Sie auf einen Namen, um ihn zu ändern</translation>
    </message>
    <message>
      <source>Double-click or Enter closes the area. Backspace takes a corner back.</source>
      <translation>Doppelklick oder Eingabe schließt das Gebiet. Die Rücktaste nimmt eine Ecke zurück.</translation>
    </message>
    <message>
      <source>Double-click to write</source>
      <translation>Doppelklicken, um zu schreiben</translation>
    </message>
    <message>
      <source>Down</source>
      <translation>Nach unten</translation>
    </message>
    <message>
      <source>Drag a rectangle across the view.</source>
      <translation>Ziehen Sie ein Rechteck über die Ansicht.</translation>
    </message>
    <message>
      <source>Drag across the view from corner to corner. Esc stops.</source>
      <translation>Ziehen Sie von Ecke zu Ecke über die Ansicht. Esc hält an.</translation>
    </message>
    <message>
      <source>Drag across the view to choose the rows of the places there; with Ctrl, beside those that are chosen</source>
      <translation>Ziehen Sie über die Ansicht, um die Zeilen der Orte dort zu wählen; mit Strg zu den gewählten dazu</translation>
    </message>
    <message>
      <source>Drag the two lines of the histogram</source>
      <translation>Ziehen Sie die beiden Linien des Histogramms</translation>
    </message>
    <message>
      <source>Draw</source>
      <translation>Zeichnen</translation>
    </message>
    <message>
      <source>Draw a rectangle over the dots, and the view shows where their pixels lie.</source>
      <translation>Ziehen Sie ein Rechteck über die Punkte, und die Ansicht zeigt, wo ihre Pixel liegen.</translation>
    </message>
    <message>
      <source>Draw an area of %1</source>
      <translation>Ein Gebiet von %1 zeichnen</translation>
    </message>
    <message>
      <source>Draw an area, and what it becomes.</source>
      <translation>Zeichnen Sie ein Gebiet, und was es wird.</translation>
    </message>
    <message>
      <source>Draw area</source>
      <translation>Gebiet zeichnen</translation>
    </message>
    <message>
      <source>Draw areas of known cover, or import polygons with a code and a name field. Every class needs a few.</source>
      <translation>Zeichnen Sie Gebiete bekannter Bedeckung, oder importieren Sie Polygone mit einem Feld für Code und Namen. Jede Klasse braucht einige.</translation>
    </message>
    <message>
      <source>Draw one</source>
      <translation>Eines zeichnen</translation>
    </message>
    <message>
      <source>Draw polygons in the view; what lies inside is set aside</source>
      <translation>Zeichnen Sie Polygone in die Ansicht; was darin liegt, wird ausgenommen</translation>
    </message>
    <message>
      <source>Draw the study area</source>
      <translation>Das Untersuchungsgebiet zeichnen</translation>
    </message>
    <message>
      <source>Drawn area</source>
      <translation>Gezeichnetes Gebiet</translation>
    </message>
    <message>
      <source>Draws the border between each two classes where it is farthest from the training pixels of both. Only those near the border count.</source>
      <translation>Zieht die Grenze zwischen je zwei Klassen, wo sie von den Trainingspixeln beider am weitesten entfernt ist. Nur die nahe der Grenze zählen.</translation>
    </message>
    <message>
      <source>Drop</source>
      <translation>Weglassen</translation>
    </message>
    <message numerus="yes">
      <source>Drop %n pixels</source>
      <comment>Drop %n pixel</comment>
      <translation>
        <numerusform>%n Pixel weglassen</numerusform>
        <numerusform>%n Pixel weglassen</numerusform>
      </translation>
    </message>
    <message>
      <source>Drop a part of %1</source>
      <translation>Einen Teil von %1 weglassen</translation>
    </message>
    <message>
      <source>Drop it</source>
      <translation>Weglassen</translation>
    </message>
    <message>
      <source>Drop one or several rasters here, or use the buttons at the right.</source>
      <translation>Lassen Sie ein Raster oder mehrere hier fallen, oder nehmen Sie die Schaltflächen rechts.</translation>
    </message>
    <message>
      <source>Drop outlying pixels of %1</source>
      <translation>Ausreißer von %1 weglassen</translation>
    </message>
    <message>
      <source>Drop the column %1</source>
      <translation>Die Spalte %1 weglassen</translation>
    </message>
    <message>
      <source>Drop the set %1</source>
      <translation>Den Satz %1 weglassen</translation>
    </message>
    <message>
      <source>Drop the smaller</source>
      <translation>Die kleineren weglassen</translation>
    </message>
    <message>
      <source>Drought</source>
      <translation>Dürre</translation>
    </message>
    <message>
      <source>Drury 1987</source>
      <translation>Drury 1987</translation>
    </message>
    <message>
      <source>Dry</source>
      <translation>Trocken</translation>
    </message>
    <message>
      <source>Dry and bare</source>
      <translation>Trocken und kahl</translation>
    </message>
    <message>
      <source>Dry bare soil</source>
      <translation>Trockener offener Boden</translation>
    </message>
    <message>
      <source>Dry bare-soil index</source>
      <translation>Index des trockenen offenen Bodens</translation>
    </message>
    <message>
      <source>Dry plant matter absorbs near 2200 nm: stubble and litter stand above ploughed soil. Green growth is high too, so mask it. Some texts shorten it to NDTI, which in this book is turbidity.</source>
      <translation>Trockenes Pflanzenmaterial absorbiert nahe 2200 nm: Stoppeln und Streu heben sich von gepflügtem Boden ab. Grüner Bewuchs ist ebenfalls hoch; nehmen Sie ihn aus. Manche Texte kürzen ihn NDTI ab, was in diesem Buch die Trübung ist.</translation>
    </message>
    <message>
      <source>Each label</source>
      <translation>Jede Angabe</translation>
    </message>
    <message>
      <source>Each line in the histogram above parts the index into classes; drag it and see the areas change. Then make the class map.</source>
      <translation>Jede Linie im Histogramm oben teilt den Index in Klassen; ziehen Sie sie und sehen Sie, wie sich die Flächen ändern. Machen Sie dann die Klassenkarte.</translation>
    </message>
    <message>
      <source>Each pixel from the first ticked scene that has it, over the place of all.</source>
      <translation>Jedes Pixel aus der ersten angekreuzten Szene, die es hat, über den Ort aller.</translation>
    </message>
    <message>
      <source>Each pixel gets the class that most pixels of the square around it have: the side of the square in pixels, an odd number. Single pixels go, edges are smoothed.</source>
      <translation>Jedes Pixel bekommt die Klasse, die die meisten Pixel des Quadrats um es haben: die Seite des Quadrats in Pixeln, eine ungerade Zahl. Einzelne Pixel verschwinden, Ränder werden glatter.</translation>
    </message>
    <message>
      <source>Earlier</source>
      <translation>Früher</translation>
    </message>
    <message>
      <source>East of a pixel's corner</source>
      <translation>Rechtswert einer Pixelecke</translation>
    </message>
    <message>
      <source>East, north</source>
      <translation>Rechts-, Hochwert</translation>
    </message>
    <message>
      <source>Edit class…</source>
      <translation>Klasse bearbeiten…</translation>
    </message>
    <message>
      <source>Either class</source>
      <translation>Eine der Klassen</translation>
    </message>
    <message>
      <source>Empty pixels</source>
      <translation>Leere Pixel</translation>
    </message>
    <message>
      <source>Empty the bin</source>
      <translation>Den Papierkorb leeren</translation>
    </message>
    <message>
      <source>Empty the bin…</source>
      <translation>Den Papierkorb leeren…</translation>
    </message>
    <message>
      <source>Enhanced vegetation index</source>
      <translation>Verbesserter Vegetationsindex</translation>
    </message>
    <message>
      <source>Enter</source>
      <translation>Eingabe</translation>
    </message>
    <message>
      <source>Entry {} of “{}” in “{}” is not right: {}</source>
      <translation>Eintrag {} von „{}“ in „{}“ stimmt nicht: {}</translation>
    </message>
    <message>
      <source>Errors by</source>
      <translation>Fehler nach</translation>
    </message>
    <message>
      <source>Esc</source>
      <translation>Esc</translation>
    </message>
    <message>
      <source>Escadafal 1989; Mathieu et al. 1998</source>
      <translation>Escadafal 1989; Mathieu et al. 1998</translation>
    </message>
    <message>
      <source>European Space Agency, MultiSpectral Instrument spectral responses (2A)</source>
      <translation>European Space Agency, MultiSpectral Instrument spectral responses (2A)</translation>
    </message>
    <message>
      <source>European Space Agency, MultiSpectral Instrument spectral responses (2A); before processing baseline 04.00</source>
      <translation>European Space Agency, MultiSpectral Instrument spectral responses (2A); before processing baseline 04.00</translation>
    </message>
    <message>
      <source>European Space Agency, MultiSpectral Instrument spectral responses (2A); processing baseline 04.00 and later: stored with an offset of 1000</source>
      <translation>European Space Agency, MultiSpectral Instrument spectral responses (2A); processing baseline 04.00 and later: stored with an offset of 1000</translation>
    </message>
    <message>
      <source>European Space Agency, PROBA-V products user manual</source>
      <translation>European Space Agency, PROBA-V products user manual</translation>
    </message>
    <message>
      <source>European Space Agency, Sentinel-1 product specification</source>
      <translation>European Space Agency, Sentinel-1 product specification</translation>
    </message>
    <message>
      <source>European Space Agency, Sentinel-2 Products Specification Document, Level-2A scene classification</source>
      <translation>European Space Agency, Sentinel-2 Products Specification Document, Level-2A scene classification</translation>
    </message>
    <message>
      <source>European Space Agency, Sentinel-2 Products Specification Document, cloud mask</source>
      <translation>European Space Agency, Sentinel-2 Products Specification Document, cloud mask</translation>
    </message>
    <message>
      <source>Every</source>
      <translation>Jede</translation>
    </message>
    <message>
      <source>Every class has at least 15 points on the map.</source>
      <translation>Jede Klasse hat mindestens 15 Punkte auf der Karte.</translation>
    </message>
    <message>
      <source>Every class what its margin asks for, the rest in proportion to area</source>
      <translation>Jede Klasse so viele, wie ihre Spanne verlangt, der Rest nach Fläche</translation>
    </message>
    <message>
      <source>Every cluster has fewer pixels than the smallest share; lower that.</source>
      <translation>Jeder Cluster hat weniger Pixel als der kleinste Anteil; senken Sie ihn.</translation>
    </message>
    <message>
      <source>Every cluster is named or left out.</source>
      <translation>Jeder Cluster ist benannt oder weggelassen.</translation>
    </message>
    <message>
      <source>Every map goes this way. “?” tells the keys of where you are, Ctrl K finds everything; begin with scenes of your own from the study menu.</source>
      <translation>So entsteht jede Karte. „?“ nennt die Tasten dort, wo Sie sind, Strg K findet alles; mit eigenen Szenen beginnen Sie im Studienmenü.</translation>
    </message>
    <message>
      <source>Every point counts the same.</source>
      <translation>Jeder Punkt zählt gleich.</translation>
    </message>
    <message>
      <source>Every point has a label. Close the labelling to see what the map says.</source>
      <translation>Jeder Punkt ist bestimmt. Schließen Sie die Bestimmung ab, um zu sehen, was die Karte sagt.</translation>
    </message>
    <message>
      <source>Every point has a label. Say that you are done to see where you differ.</source>
      <translation>Jeder Punkt ist bestimmt. Sagen Sie, dass Sie fertig sind, um zu sehen, wo Sie verschieden sind.</translation>
    </message>
    <message>
      <source>Every row stays; what finds no other gets empty cells. How many matched is told, and stands in the column matches.</source>
      <translation>Jede Zeile bleibt; was keine andere findet, bekommt leere Zellen. Wie viele passten, wird gesagt und steht in der Spalte matches.</translation>
    </message>
    <message>
      <source>Everything</source>
      <translation>Alles</translation>
    </message>
    <message>
      <source>Everywhere</source>
      <translation>Überall</translation>
    </message>
    <message>
      <source>Excess green index</source>
      <translation>Index des Grünüberschusses</translation>
    </message>
    <message>
      <source>Excess of green</source>
      <translation>Grünüberschuss</translation>
    </message>
    <message>
      <source>Explain</source>
      <translation>Erklären</translation>
    </message>
    <message>
      <source>Export the picture in view</source>
      <translation>Das Bild der Ansicht exportieren</translation>
    </message>
    <message>
      <source>Export the picture in view…</source>
      <translation>Das Bild der Ansicht exportieren…</translation>
    </message>
    <message>
      <source>Export training areas</source>
      <translation>Trainingsgebiete exportieren</translation>
    </message>
    <message>
      <source>Export…</source>
      <translation>Exportieren…</translation>
    </message>
    <message>
      <source>F1 … F6</source>
      <translation>F1 … F6</translation>
    </message>
    <message>
      <source>Facts</source>
      <translation>Angaben</translation>
    </message>
    <message>
      <source>Fails:</source>
      <translation>Versagt:</translation>
    </message>
    <message>
      <source>Feature</source>
      <translation>Merkmal</translation>
    </message>
    <message>
      <source>Features</source>
      <translation>Merkmale</translation>
    </message>
    <message>
      <source>Features a split</source>
      <translation>Merkmale je Teilung</translation>
    </message>
    <message>
      <source>Features of the scene too</source>
      <translation>Auch Merkmale der Szene</translation>
    </message>
    <message>
      <source>Fetch %1</source>
      <translation>%1 holen</translation>
    </message>
    <message numerus="yes">
      <source>Fetch %n scenes (%1)</source>
      <comment>Fetch %n scene (%1)</comment>
      <translation>
        <numerusform>%n Szene holen (%1)</numerusform>
        <numerusform>%n Szenen holen (%1)</numerusform>
      </translation>
    </message>
    <message>
      <source>Fetch scenes</source>
      <translation>Szenen holen</translation>
    </message>
    <message>
      <source>Fewer</source>
      <translation>Weniger</translation>
    </message>
    <message>
      <source>Fewer than 100 pixels are valid in both scenes; choose scenes that overlap.</source>
      <translation>Weniger als 100 Pixel sind in beiden Szenen gültig; wählen Sie Szenen, die sich überdecken.</translation>
    </message>
    <message>
      <source>Fewer than 100 pixels of “{}” have a height; choose a layer that lies under it.</source>
      <translation>Weniger als 100 Pixel von „{}“ haben eine Höhe; wählen Sie eine Ebene, die darunter liegt.</translation>
    </message>
    <message>
      <source>Fewer than 15 points are mapped as %1: read those intervals before the percentages.</source>
      <translation>Weniger als 15 Punkte sind als %1 kartiert: lesen Sie deren Intervalle vor den Prozenten.</translation>
    </message>
    <message>
      <source>Fewer than 15 points are mapped as %1: those percentages say little.</source>
      <translation>Weniger als 15 Punkte sind als %1 kartiert: deren Prozente sagen wenig.</translation>
    </message>
    <message>
      <source>Fewer than two points, so nothing will be known of it: %1.</source>
      <translation>Weniger als zwei Punkte, sodass darüber nichts bekannt wird: %1.</translation>
    </message>
    <message>
      <source>Feyisa et al. 2014</source>
      <translation>Feyisa et al. 2014</translation>
    </message>
    <message>
      <source>Field of classes</source>
      <translation>Feld der Klassen</translation>
    </message>
    <message>
      <source>Field that labels it</source>
      <translation>Feld zur Beschriftung</translation>
    </message>
    <message>
      <source>Figures</source>
      <translation>Zahlen</translation>
    </message>
    <message>
      <source>File</source>
      <translation>Datei</translation>
    </message>
    <message>
      <source>Files can be dropped on the window.</source>
      <translation>Dateien können auf das Fenster gezogen werden.</translation>
    </message>
    <message>
      <source>Files…</source>
      <translation>Dateien…</translation>
    </message>
    <message>
      <source>Filter the speckle</source>
      <translation>Speckle filtern</translation>
    </message>
    <message>
      <source>Finch (demo), surface reflectance</source>
      <translation>Finch (Demo), Bodenreflexion</translation>
    </message>
    <message>
      <source>Finch (demo): cloud and shadow by bits</source>
      <translation>Finch (Demo): Wolke und Schatten in Bits</translation>
    </message>
    <message>
      <source>Find</source>
      <translation>Suche</translation>
    </message>
    <message>
      <source>Find anything   Ctrl K</source>
      <translation>Alles finden   Strg K</translation>
    </message>
    <message>
      <source>Find clusters</source>
      <translation>Cluster finden</translation>
    </message>
    <message>
      <source>Find segments</source>
      <translation>Segmente finden</translation>
    </message>
    <message>
      <source>Finds its soil constant by itself, so thin growth on bright and on dark soil compare better. Needs true reflectance.</source>
      <translation>Findet seine Bodenkonstante selbst, sodass dünner Bewuchs auf hellem und dunklem Boden besser vergleichbar ist. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>First date of %1</source>
      <translation>Erstes Datum von %1</translation>
    </message>
    <message>
      <source>First trust</source>
      <translation>Vertrauen zuerst</translation>
    </message>
    <message>
      <source>Fisher, Flood and Danaher 2016</source>
      <translation>Fisher, Flood und Danaher 2016</translation>
    </message>
    <message>
      <source>Fit (0)</source>
      <translation>Einpassen (0)</translation>
    </message>
    <message>
      <source>Fit the picture</source>
      <translation>Das Bild einpassen</translation>
    </message>
    <message>
      <source>Five times in turn, a fifth of the training areas is kept out, and mapped by the others. Areas are drawn where a class is plain, so this is an indication while you try, and no accuracy assessment.</source>
      <translation>Fünfmal nacheinander bleibt ein Fünftel der Trainingsgebiete draußen und wird durch die anderen kartiert. Gebiete zeichnet man, wo eine Klasse eindeutig ist; daher ist das ein Hinweis beim Probieren und keine Genauigkeitsprüfung.</translation>
    </message>
    <message>
      <source>Floating growth</source>
      <translation>Schwimmender Bewuchs</translation>
    </message>
    <message>
      <source>Folder for the catalogue</source>
      <translation>Ordner für den Katalog</translation>
    </message>
    <message>
      <source>Folder of the report</source>
      <translation>Ordner des Berichts</translation>
    </message>
    <message>
      <source>Folder…</source>
      <translation>Ordner…</translation>
    </message>
    <message>
      <source>Follow the area</source>
      <translation>Der Fläche folgen</translation>
    </message>
    <message>
      <source>Follow the class</source>
      <translation>Der Klasse folgen</translation>
    </message>
    <message>
      <source>Follows the haematite of tropical soils. Only on bare ground; very large over dark pixels. Needs true reflectance.</source>
      <translation>Folgt dem Hämatit tropischer Böden. Nur auf offenem Boden; sehr groß über dunklen Pixeln. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>For all classes, such as colour-blind people tell apart (Okabe and Ito 2008), and blue for water</source>
      <translation>Für alle Klassen, so, dass Farbenblinde sie unterscheiden (Okabe und Ito 2008), und Blau für Wasser</translation>
    </message>
    <message>
      <source>For colour pictures, bounded between −1 and 1. Above 0 is green, below is soil or dead matter.</source>
      <translation>Für Farbbilder, begrenzt zwischen −1 und 1. Über 0 ist grün, darunter Boden oder totes Material.</translation>
    </message>
    <message>
      <source>For colour pictures: crops and lawns against soil. Dark conifers and water lie close together.</source>
      <translation>Für Farbbilder: Feldfrüchte und Rasen gegen Boden. Dunkle Nadelbäume und Wasser liegen nahe beieinander.</translation>
    </message>
    <message>
      <source>For grass and scrub fires, whose ash is light. Needs true reflectance; bare soil lies close.</source>
      <translation>Für Gras- und Buschbrände, deren Asche hell ist. Braucht echte Reflexion; offener Boden liegt nahe.</translation>
    </message>
    <message>
      <source>For pictures without near infrared. Tells green from dry growth; water and shadow are unsteady because the divisor nears 0.</source>
      <translation>Für Bilder ohne nahes Infrarot. Unterscheidet grünen von trockenem Bewuchs; Wasser und Schatten sind unstet, weil der Teiler gegen 0 geht.</translation>
    </message>
    <message>
      <source>For the reader</source>
      <translation>Für die Leser</translation>
    </message>
    <message>
      <source>For “%1”. Say what you want to know and guess how right each class is; the rest follows (Cochran 1977; Olofsson and others 2014).</source>
      <translation>Für „%1“. Sagen Sie, was Sie wissen wollen, und schätzen Sie, wie richtig jede Klasse ist; der Rest folgt (Cochran 1977; Olofsson und andere 2014).</translation>
    </message>
    <message>
      <source>Forest</source>
      <translation>Wald</translation>
    </message>
    <message>
      <source>Forget this preset</source>
      <translation>Diese Voreinstellung vergessen</translation>
    </message>
    <message>
      <source>Form</source>
      <translation>Form</translation>
    </message>
    <message>
      <source>Formula</source>
      <translation>Formel</translation>
    </message>
    <message>
      <source>Formula by hand</source>
      <translation>Formel von Hand</translation>
    </message>
    <message>
      <source>Found by discriminant analysis on many scenes; one threshold serves for all. Needs surface reflectance.</source>
      <translation>Durch Diskriminanzanalyse auf vielen Szenen gefunden; ein Schwellenwert passt für alle. Braucht Bodenreflexion.</translation>
    </message>
    <message>
      <source>Found from</source>
      <translation>Gefunden aus</translation>
    </message>
    <message>
      <source>From</source>
      <translation>Von</translation>
    </message>
    <message>
      <source>From %1 to %2</source>
      <translation>Von %1 bis %2</translation>
    </message>
    <message>
      <source>From %1 to %2 in a quick look</source>
      <translation>Von %1 bis %2 auf einen schnellen Blick</translation>
    </message>
    <message>
      <source>From %1 to %2.</source>
      <translation>Von %1 bis %2.</translation>
    </message>
    <message>
      <source>From \ to</source>
      <translation>Von \ nach</translation>
    </message>
    <message>
      <source>From \ to, ha</source>
      <translation>Von \ nach, ha</translation>
    </message>
    <message>
      <source>From one map to the other</source>
      <translation>Von einer Karte zur anderen</translation>
    </message>
    <message>
      <source>From scenes to a map that holds</source>
      <translation>Von Szenen zu einer Karte, die hält</translation>
    </message>
    <message>
      <source>From the edge</source>
      <translation>Vom Rand</translation>
    </message>
    <message>
      <source>From the file</source>
      <translation>Aus der Datei</translation>
    </message>
    <message>
      <source>From the lowest to the highest value</source>
      <translation>Vom niedrigsten zum höchsten Wert</translation>
    </message>
    <message>
      <source>From, to</source>
      <translation>Von, bis</translation>
    </message>
    <message>
      <source>Full range</source>
      <translation>Ganzer Bereich</translation>
    </message>
    <message>
      <source>Gain and offset a band from the pixels that did not change (Canty and Nielsen 2008).</source>
      <translation>Verstärkung und Versatz je Band aus den Pixeln, die sich nicht geändert haben (Canty und Nielsen 2008).</translation>
    </message>
    <message>
      <source>Gain: theirs is {:.4g} times ours plus {:.4g}; another formula, state of values or correction.</source>
      <translation>Verstärkung: ihres ist {:.4g} mal unseres plus {:.4g}; eine andere Formel, Art der Werte oder Korrektur.</translation>
    </message>
    <message>
      <source>Gamma</source>
      <translation>Gamma</translation>
    </message>
    <message>
      <source>Gao 1996; Wilson and Sader 2002</source>
      <translation>Gao 1996; Wilson und Sader 2002</translation>
    </message>
    <message>
      <source>GeoPackage (*.gpkg);;GeoJSON (*.geojson);;Shapefile (*.shp)</source>
      <translation>GeoPackage (*.gpkg);;GeoJSON (*.geojson);;Shapefile (*.shp)</translation>
    </message>
    <message>
      <source>Gitelson 2004</source>
      <translation>Gitelson 2004</translation>
    </message>
    <message>
      <source>Gitelson and Merzlyak 1994; Barnes et al. 2000</source>
      <translation>Gitelson und Merzlyak 1994; Barnes et al. 2000</translation>
    </message>
    <message>
      <source>Gitelson et al. 2002</source>
      <translation>Gitelson et al. 2002</translation>
    </message>
    <message>
      <source>Gitelson, Gritz and Merzlyak 2003</source>
      <translation>Gitelson, Gritz und Merzlyak 2003</translation>
    </message>
    <message>
      <source>Gitelson, Kaufman and Merzlyak 1996</source>
      <translation>Gitelson, Kaufman und Merzlyak 1996</translation>
    </message>
    <message>
      <source>Give a window for the majority, or a smallest patch.</source>
      <translation>Geben Sie ein Fenster für die Mehrheit oder eine kleinste Fläche an.</translation>
    </message>
    <message>
      <source>Give at least one class points.</source>
      <translation>Geben Sie mindestens einer Klasse Punkte.</translation>
    </message>
    <message>
      <source>Give the column a name.</source>
      <translation>Geben Sie der Spalte einen Namen.</translation>
    </message>
    <message>
      <source>Given</source>
      <translation>Gegeben</translation>
    </message>
    <message>
      <source>Gives each cluster without a name the class whose signature is nearest, where that is within two of its spreads</source>
      <translation>Gibt jedem Cluster ohne Namen die Klasse, deren Signatur am nächsten ist, wo sie innerhalb zweier ihrer Streuungen liegt</translation>
    </message>
    <message>
      <source>Gives each pixel the class that most of the training pixels nearest to it have. It draws no conclusions beyond them.</source>
      <translation>Gibt jedem Pixel die Klasse, die die meisten der ihm nächsten Trainingspixel haben. Es schließt nichts darüber hinaus.</translation>
    </message>
    <message>
      <source>Gives each pixel the class under which its values are most likely, from the mean and the full covariance of the training pixels.</source>
      <translation>Gibt jedem Pixel die Klasse, unter der seine Werte am wahrscheinlichsten sind, aus Mittel und voller Kovarianz der Trainingspixel.</translation>
    </message>
    <message>
      <source>Gives each pixel the class whose curve has the most similar shape, whatever the brightness: a slope in shadow is like one in the sun.</source>
      <translation>Gibt jedem Pixel die Klasse, deren Kurve die ähnlichste Form hat, gleich wie hell: ein Hang im Schatten gleicht einem in der Sonne.</translation>
    </message>
    <message>
      <source>Gives each pixel the class whose mean is nearest, as the crow flies, in the values of the features.</source>
      <translation>Gibt jedem Pixel die Klasse, deren Mittel auf dem geraden Weg am nächsten ist, in den Werten der Merkmale.</translation>
    </message>
    <message>
      <source>Gives each pixel the class whose mean is nearest, with each feature measured in the spread of the class and what features share counted once.</source>
      <translation>Gibt jedem Pixel die Klasse, deren Mittel am nächsten ist, jedes Merkmal in der Streuung der Klasse gemessen und Gemeinsames der Merkmale einmal gezählt.</translation>
    </message>
    <message>
      <source>Glacier ice</source>
      <translation>Gletschereis</translation>
    </message>
    <message>
      <source>Global environment monitoring index</source>
      <translation>Globaler Umweltbeobachtungsindex</translation>
    </message>
    <message>
      <source>Global vegetation moisture index</source>
      <translation>Globaler Vegetationsfeuchteindex</translation>
    </message>
    <message>
      <source>Go on labelling (%1 left)</source>
      <translation>Weiter bestimmen (noch %1)</translation>
    </message>
    <message>
      <source>Go on to indices</source>
      <translation>Weiter zu den Indizes</translation>
    </message>
    <message>
      <source>Go on to mapping</source>
      <translation>Weiter zur Kartierung</translation>
    </message>
    <message>
      <source>Go on with the demo</source>
      <translation>Mit der Demo weiter</translation>
    </message>
    <message>
      <source>Go on with the labels there are</source>
      <translation>Mit den vorhandenen Angaben weiter</translation>
    </message>
    <message>
      <source>Go to %1</source>
      <translation>Zu %1</translation>
    </message>
    <message>
      <source>Go to mapping</source>
      <translation>Zur Kartierung</translation>
    </message>
    <message>
      <source>Go to scenes</source>
      <translation>Zu den Szenen</translation>
    </message>
    <message>
      <source>Go to training</source>
      <translation>Zum Training</translation>
    </message>
    <message>
      <source>Goel and Qin 1994</source>
      <translation>Goel und Qin 1994</translation>
    </message>
    <message>
      <source>Gram–Schmidt</source>
      <translation>Gram–Schmidt</translation>
    </message>
    <message>
      <source>Green</source>
      <translation>Grün</translation>
    </message>
    <message>
      <source>Green against near infrared, which water absorbs. Open water is above 0. Buildings and wet mud can be above 0 too; where short-wave infrared is there, the other water index keeps them apart better.</source>
      <translation>Grün gegen nahes Infrarot, das Wasser aufnimmt. Offenes Wasser liegt über 0. Gebäude und nasser Schlick können auch über 0 liegen; wo kurzwelliges Infrarot vorhanden ist, trennt der andere Wasserindex sie besser.</translation>
    </message>
    <message>
      <source>Green against short-wave infrared. Built-up land falls below 0 and clear as well as silty water stays above. Snow is high too; shadows may be.</source>
      <translation>Grün gegen kurzwelliges Infrarot. Bebautes Land fällt unter 0, klares wie trübes Wasser bleibt darüber. Schnee ist auch hoch; Schatten vielleicht.</translation>
    </message>
    <message>
      <source>Green channel</source>
      <translation>Grünkanal</translation>
    </message>
    <message>
      <source>Green chlorophyll index</source>
      <translation>Grün-Chlorophyll-Index</translation>
    </message>
    <message>
      <source>Green instead of red: saturates later and follows chlorophyll over closed crops. Water and bare soil lie closer together than in the plain index.</source>
      <translation>Grün statt Rot: sättigt später und folgt dem Chlorophyll über geschlossenen Beständen. Wasser und offener Boden liegen näher beieinander als im einfachen Index.</translation>
    </message>
    <message>
      <source>Green leaf</source>
      <translation>Grünes Blatt</translation>
    </message>
    <message>
      <source>Green leaf index</source>
      <translation>Grünblattindex</translation>
    </message>
    <message>
      <source>Green normalised difference vegetation index</source>
      <translation>Grüner normierter Differenz-Vegetationsindex</translation>
    </message>
    <message numerus="yes">
      <source>Greenest of %n dates</source>
      <comment>Greenest of %n date</comment>
      <translation>
        <numerusform>Grünstes aus %n Datum</numerusform>
        <numerusform>Grünstes aus %n Daten</numerusform>
      </translation>
    </message>
    <message>
      <source>Grey</source>
      <translation>Grau</translation>
    </message>
    <message>
      <source>Grid: theirs lies on another grid and was brought onto ours.</source>
      <translation>Gitter: ihres liegt auf einem anderen Gitter und wurde auf unseres gebracht.</translation>
    </message>
    <message>
      <source>Groups are about equally wide and round in all features.</source>
      <translation>Die Gruppen sind in allen Merkmalen etwa gleich weit und rund.</translation>
    </message>
    <message>
      <source>Grow</source>
      <translation>Wachsen</translation>
    </message>
    <message>
      <source>Grow an area of %1</source>
      <translation>Ein Gebiet von %1 wachsen lassen</translation>
    </message>
    <message>
      <source>Grow area</source>
      <translation>Gebiet wachsen</translation>
    </message>
    <message>
      <source>Grows in a straight line with the chlorophyll of a canopy. Over water and shadow it is noise: mask them.</source>
      <translation>Wächst in gerader Linie mit dem Chlorophyll eines Bestandes. Über Wasser und Schatten ist es Rauschen: nehmen Sie sie aus.</translation>
    </message>
    <message>
      <source>Growth</source>
      <translation>Bewuchs</translation>
    </message>
    <message>
      <source>Growth or built-up</source>
      <translation>Bewuchs oder bebaut</translation>
    </message>
    <message>
      <source>Guide</source>
      <translation>Handbuch</translation>
    </message>
    <message>
      <source>Guyot and Baret 1988</source>
      <translation>Guyot und Baret 1988</translation>
    </message>
    <message>
      <source>Hall, Riggs and Salomonson 1995</source>
      <translation>Hall, Riggs und Salomonson 1995</translation>
    </message>
    <message>
      <source>Hand over to them</source>
      <translation>An sie übergeben</translation>
    </message>
    <message>
      <source>Haralick, Shanmugam and Dinstein 1973</source>
      <translation>Haralick, Shanmugam und Dinstein 1973</translation>
    </message>
    <message>
      <source>Hatch</source>
      <translation>Schraffieren</translation>
    </message>
    <message>
      <source>Hatches in the preview what is unlike all training</source>
      <translation>Schraffiert in der Vorschau, was allem Training unähnlich ist</translation>
    </message>
    <message>
      <source>Haze subtracted</source>
      <translation>Dunst abgezogen</translation>
    </message>
    <message>
      <source>He et al. 2010</source>
      <translation>He et al. 2010</translation>
    </message>
    <message>
      <source>Height</source>
      <translation>Höhe</translation>
    </message>
    <message>
      <source>Heights</source>
      <translation>Höhen</translation>
    </message>
    <message>
      <source>Held-out areas</source>
      <translation>Zurückgehaltene Gebiete</translation>
    </message>
    <message>
      <source>Here a map is tested at points whose true class you say, and its confusion matrix and accuracies with their intervals appear. There is no map to test yet; make one first.</source>
      <translation>Hier wird eine Karte an Punkten geprüft, deren wahre Klasse Sie nennen, und ihre Fehlermatrix und Genauigkeiten mit ihren Intervallen erscheinen. Es gibt noch keine Karte zu prüfen; machen Sie zuerst eine.</translation>
    </message>
    <message>
      <source>Heron (demo), radar backscatter in power</source>
      <translation>Heron (Demo), Radarrückstreuung in Leistung</translation>
    </message>
    <message>
      <source>Hexagons</source>
      <translation>Sechsecke</translation>
    </message>
    <message>
      <source>Hide it</source>
      <translation>Ausblenden</translation>
    </message>
    <message>
      <source>Hide the column %1</source>
      <translation>Die Spalte %1 ausblenden</translation>
    </message>
    <message>
      <source>High</source>
      <translation>Hoch</translation>
    </message>
    <message>
      <source>High is algae, of water.</source>
      <translation>Hoch sind Algen, im Wasser.</translation>
    </message>
    <message>
      <source>High is bare ground.</source>
      <translation>Hoch ist offener Boden.</translation>
    </message>
    <message>
      <source>High is bright.</source>
      <translation>Hoch ist hell.</translation>
    </message>
    <message>
      <source>High is built-up or bare.</source>
      <translation>Hoch ist bebaut oder offen.</translation>
    </message>
    <message>
      <source>High is burnt.</source>
      <translation>Hoch ist verbrannt.</translation>
    </message>
    <message>
      <source>High is charred.</source>
      <translation>Hoch ist verkohlt.</translation>
    </message>
    <message>
      <source>High is clay or growth.</source>
      <translation>Hoch ist Ton oder Bewuchs.</translation>
    </message>
    <message>
      <source>High is dense growth.</source>
      <translation>Hoch ist dichter Bewuchs.</translation>
    </message>
    <message>
      <source>High is dry and bare.</source>
      <translation>Hoch ist trocken und kahl.</translation>
    </message>
    <message>
      <source>High is dry.</source>
      <translation>Hoch ist trocken.</translation>
    </message>
    <message>
      <source>High is green.</source>
      <translation>Hoch ist grün.</translation>
    </message>
    <message>
      <source>High is growth.</source>
      <translation>Hoch ist Bewuchs.</translation>
    </message>
    <message>
      <source>High is ice or snow.</source>
      <translation>Hoch ist Eis oder Schnee.</translation>
    </message>
    <message>
      <source>High is litter or growth.</source>
      <translation>Hoch ist Streu oder Bewuchs.</translation>
    </message>
    <message>
      <source>High is much chlorophyll.</source>
      <translation>Hoch ist viel Chlorophyll.</translation>
    </message>
    <message>
      <source>High is open water.</source>
      <translation>Hoch ist offenes Wasser.</translation>
    </message>
    <message>
      <source>High is productive growth.</source>
      <translation>Hoch ist ertragreicher Bewuchs.</translation>
    </message>
    <message>
      <source>High is rich in iron.</source>
      <translation>Hoch ist eisenreich.</translation>
    </message>
    <message>
      <source>High is silty, of water.</source>
      <translation>Hoch ist trüb, im Wasser.</translation>
    </message>
    <message>
      <source>High is snow.</source>
      <translation>Hoch ist Schnee.</translation>
    </message>
    <message>
      <source>High is wet growth.</source>
      <translation>Hoch ist nasser Bewuchs.</translation>
    </message>
    <message>
      <source>High is yellowing or dry.</source>
      <translation>Hoch ist vergilbend oder trocken.</translation>
    </message>
    <message>
      <source>Highest level</source>
      <translation>Höchste Stufe</translation>
    </message>
    <message>
      <source>Histogram and areas of the whole picture or of a part. Dragging in the histogram beside the handles lights up the pixels of those values.</source>
      <translation>Histogramm und Flächen des ganzen Bildes oder eines Teils. Ziehen im Histogramm neben den Griffen lässt die Pixel dieser Werte aufleuchten.</translation>
    </message>
    <message>
      <source>Histogram of</source>
      <translation>Histogramm von</translation>
    </message>
    <message>
      <source>Histogram with the darkest and the brightest value</source>
      <translation>Histogramm mit dem dunkelsten und dem hellsten Wert</translation>
    </message>
    <message>
      <source>Histogram with thresholds</source>
      <translation>Histogramm mit Schwellenwerten</translation>
    </message>
    <message>
      <source>Histograms of the class, one a feature</source>
      <translation>Histogramme der Klasse, eines je Merkmal</translation>
    </message>
    <message>
      <source>Histograms, areas, correlation and scatter, over the whole window</source>
      <translation>Histogramme, Gebiete, Korrelation und Streudiagramm, über das ganze Fenster</translation>
    </message>
    <message>
      <source>Histograms, within three spreads</source>
      <translation>Histogramme, innerhalb dreier Streuungen</translation>
    </message>
    <message>
      <source>Horn 1981</source>
      <translation>Horn 1981</translation>
    </message>
    <message>
      <source>How</source>
      <translation>Wie</translation>
    </message>
    <message>
      <source>How common each class is before looking: all equal, or shares of your own. Rare classes are mapped more often with equal ones.</source>
      <translation>Wie häufig jede Klasse ist, bevor man hinsieht: alle gleich, oder eigene Anteile. Seltene Klassen werden mit gleichen öfter kartiert.</translation>
    </message>
    <message>
      <source>How deep chlorophyll absorbs between green and red edge. Moves with leaf area and soil as well, so read it beside a soil-adjusted index.</source>
      <translation>Wie tief Chlorophyll zwischen Grün und Red Edge absorbiert. Ändert sich auch mit Blattfläche und Boden; lesen Sie es daher neben einem bodenbereinigten Index.</translation>
    </message>
    <message>
      <source>How far a training pixel reaches with curved borders, in spreads of the features: high reaches less far. Not used with straight ones.</source>
      <translation>Wie weit ein Trainingspixel bei gekrümmten Grenzen reicht, in Streuungen der Merkmale: hoch reicht weniger weit. Bei geraden nicht gebraucht.</translation>
    </message>
    <message>
      <source>How far the job is</source>
      <translation>Wie weit die Arbeit ist</translation>
    </message>
    <message>
      <source>How far the mean of the area lies from that of the others, in their spreads</source>
      <translation>Wie weit das Mittel des Gebiets von dem der anderen liegt, in deren Streuungen</translation>
    </message>
    <message>
      <source>How good is the map?</source>
      <translation>Wie gut ist die Karte?</translation>
    </message>
    <message>
      <source>How it is shown</source>
      <translation>Darstellung</translation>
    </message>
    <message>
      <source>How it is shown: stretch, steps, opacity</source>
      <translation>Darstellung: Streckung, Stufen, Deckkraft</translation>
    </message>
    <message>
      <source>How it is shown: stretch, steps, opacity (D)</source>
      <translation>Darstellung: Streckung, Stufen, Deckkraft (D)</translation>
    </message>
    <message>
      <source>How large</source>
      <translation>Wie groß</translation>
    </message>
    <message>
      <source>How like a pixel has to be, in the scene's values</source>
      <translation>Wie ähnlich ein Pixel sein muss, in den Werten der Szene</translation>
    </message>
    <message>
      <source>How many clusters?</source>
      <translation>Wie viele Cluster?</translation>
    </message>
    <message>
      <source>How many features, drawn anew, are tried at each split. Fewer make the trees differ more.</source>
      <translation>Wie viele Merkmale, neu gezogen, bei jeder Teilung versucht werden. Weniger machen die Bäume verschiedener.</translation>
    </message>
    <message>
      <source>How many groups are sought. Some more than there are classes is usual: several can get the same class. More clusters are not more accuracy.</source>
      <translation>Wie viele Gruppen gesucht werden. Üblich sind etwas mehr als Klassen: mehrere können dieselbe Klasse bekommen. Mehr Cluster sind nicht mehr Genauigkeit.</translation>
    </message>
    <message>
      <source>How many of the nearest are asked. More smooth the borders of classes; 3 to 10 is usual.</source>
      <translation>Wie viele der nächsten gefragt werden. Mehr glätten die Grenzen der Klassen; üblich sind 3 bis 10.</translation>
    </message>
    <message>
      <source>How many pixels the draw has, about; fewer where there are not so many.</source>
      <translation>Wie viele Pixel die Ziehung etwa hat; weniger, wo es nicht so viele gibt.</translation>
    </message>
    <message>
      <source>How many points they get</source>
      <translation>Wie viele Punkte sie bekommen</translation>
    </message>
    <message>
      <source>How many points, and where?</source>
      <translation>Wie viele Punkte, und wo?</translation>
    </message>
    <message>
      <source>How many steps</source>
      <translation>Wie viele Stufen</translation>
    </message>
    <message>
      <source>How much a segment keeps together against how closely it follows the features: small for winding edges, large for even pieces.</source>
      <translation>Wie sehr ein Segment zusammenhält gegen wie genau es den Merkmalen folgt: klein für gewundene Ränder, groß für gleichmäßige Stücke.</translation>
    </message>
    <message>
      <source>How near a pixel is to the reflectance of fresh char. Only days to weeks after a fire; water and deep shadow are high too. Needs true reflectance.</source>
      <translation>Wie nahe ein Pixel der Reflexion frischer Kohle ist. Nur Tage bis Wochen nach einem Brand; Wasser und tiefer Schatten sind auch hoch. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>How often and when a class was there</source>
      <translation>Wie oft und wann eine Klasse dort war</translation>
    </message>
    <message>
      <source>How often values occur</source>
      <translation>Wie oft Werte vorkommen</translation>
    </message>
    <message>
      <source>How right %1 is, you guess</source>
      <translation>Wie richtig %1 ist, Ihre Schätzung</translation>
    </message>
    <message>
      <source>How steep a layer of heights in metres is, in degrees, or how far its way down faces north (1) or south (−1), east or west.</source>
      <translation>Wie steil eine Ebene von Höhen in Metern ist, in Grad, oder wie sehr ihr Hang nach Norden (1) oder Süden (−1), Osten oder Westen schaut.</translation>
    </message>
    <message>
      <source>How subclasses of the training areas are learned</source>
      <translation>Wie Unterklassen der Trainingsgebiete gelernt werden</translation>
    </message>
    <message>
      <source>How the features of the class go together</source>
      <translation>Wie die Merkmale der Klasse zusammenhängen</translation>
    </message>
    <message>
      <source>How the grey levels of neighbouring pixels go together around each pixel. It tells rough from smooth where the colours are alike.</source>
      <translation>Wie die Grauwerte benachbarter Pixel um jedes Pixel zusammengehen. Es unterscheidet rau von glatt, wo die Farben gleich sind.</translation>
    </message>
    <message>
      <source>How the stand-in for a provider behaves</source>
      <translation>Wie sich der Ersatz für einen Anbieter verhält</translation>
    </message>
    <message>
      <source>How unlike the pixel others may be, in the spread of the bands around it</source>
      <translation>Wie unähnlich andere dem Pixel sein dürfen, in der Streuung der Bänder um es</translation>
    </message>
    <message>
      <source>Huete 1988</source>
      <translation>Huete 1988</translation>
    </message>
    <message>
      <source>Huete et al. 2002</source>
      <translation>Huete et al. 2002</translation>
    </message>
    <message>
      <source>Hunt and Rock 1989</source>
      <translation>Hunt und Rock 1989</translation>
    </message>
    <message>
      <source>ISODATA</source>
      <translation>ISODATA</translation>
    </message>
    <message>
      <source>Ice or snow</source>
      <translation>Eis oder Schnee</translation>
    </message>
    <message numerus="yes">
      <source>Import %n training areas</source>
      <comment>Import %n training area</comment>
      <translation>
        <numerusform>%n Trainingsgebiet importieren</numerusform>
        <numerusform>%n Trainingsgebiete importieren</numerusform>
      </translation>
    </message>
    <message>
      <source>Import these areas</source>
      <translation>Diese Gebiete importieren</translation>
    </message>
    <message>
      <source>Import training areas</source>
      <translation>Trainingsgebiete importieren</translation>
    </message>
    <message>
      <source>Import…</source>
      <translation>Importieren…</translation>
    </message>
    <message>
      <source>In a folder I choose…</source>
      <translation>In einem Ordner meiner Wahl…</translation>
    </message>
    <message>
      <source>In all classes; choose some…</source>
      <translation>In allen Klassen; einige wählen…</translation>
    </message>
    <message>
      <source>In decibels, averaged over 5 by 5 pixels: %1</source>
      <translation>In Dezibel, über 5 mal 5 Pixel gemittelt: %1</translation>
    </message>
    <message>
      <source>In degrees, from the mean of the class; 3 to 10 is usual. Pixels farther away stay without a class.</source>
      <translation>In Grad, vom Mittel der Klasse; üblich sind 3 bis 10. Fernere Pixel bleiben ohne Klasse.</translation>
    </message>
    <message>
      <source>In no class by itself is the difference more than chance (p &lt; 0.05).</source>
      <translation>In keiner Klasse für sich ist der Unterschied mehr als Zufall (p &lt; 0,05).</translation>
    </message>
    <message>
      <source>In proportion to area, 20 at least</source>
      <translation>Nach Fläche, mindestens 20</translation>
    </message>
    <message>
      <source>In standard deviations from the class (Mahalanobis distance); 3 to 5 is usual. Pixels farther away stay without a class.</source>
      <translation>In Standardabweichungen von der Klasse (Mahalanobis-Abstand); üblich sind 3 bis 5. Fernere Pixel bleiben ohne Klasse.</translation>
    </message>
    <message>
      <source>In steps of %1 days</source>
      <translation>In Stufen von %1 Tagen</translation>
    </message>
    <message>
      <source>In the class</source>
      <translation>In der Klasse</translation>
    </message>
    <message>
      <source>In the light of level ground</source>
      <translation>Im Licht ebenen Grundes</translation>
    </message>
    <message>
      <source>In the row of “{}” {} is no whole number; a matrix of points is needed, not of shares.</source>
      <translation>In der Zeile „{}“ ist {} keine ganze Zahl; gebraucht wird eine Matrix von Punkten, nicht von Anteilen.</translation>
    </message>
    <message>
      <source>In the row of “{}” “{}” is no {}.</source>
      <translation>In der Zeile „{}“ ist „{}“ kein {}.</translation>
    </message>
    <message>
      <source>In the system</source>
      <translation>Im System</translation>
    </message>
    <message>
      <source>In the unit of the features, from the nearest mean. Pixels farther away stay without a class.</source>
      <translation>In der Einheit der Merkmale, vom nächsten Mittel. Fernere Pixel bleiben ohne Klasse.</translation>
    </message>
    <message>
      <source>In the values of the bands, over the training pixels of the class.</source>
      <translation>In den Werten der Bänder, über die Trainingspixel der Klasse.</translation>
    </message>
    <message>
      <source>In “%1” there is %2 already. Shall the report take its place?</source>
      <translation>In „%1“ gibt es schon %2. Soll der Bericht an dessen Stelle treten?</translation>
    </message>
    <message>
      <source>Index</source>
      <translation>Index</translation>
    </message>
    <message>
      <source>Index-based built-up index</source>
      <translation>Bebauungsindex aus Indizes</translation>
    </message>
    <message>
      <source>Indices</source>
      <translation>Indizes</translation>
    </message>
    <message>
      <source>Indices are computed from the bands of a scene. Bring one in first.</source>
      <translation>Indizes werden aus den Bändern einer Szene berechnet. Holen Sie zuerst eine herein.</translation>
    </message>
    <message>
      <source>Indices found</source>
      <translation>Gefundene Indizes</translation>
    </message>
    <message>
      <source>Indices, maps and series are brought onto it as they are computed.</source>
      <translation>Indizes, Karten und Reihen werden beim Rechnen darauf gebracht.</translation>
    </message>
    <message>
      <source>Inside</source>
      <translation>Innerhalb</translation>
    </message>
    <message>
      <source>Inside the study area</source>
      <translation>Im Untersuchungsgebiet</translation>
    </message>
    <message>
      <source>Inside the study area only</source>
      <translation>Nur im Untersuchungsgebiet</translation>
    </message>
    <message>
      <source>Install the package zany-patch-demo for it.</source>
      <translation>Installieren Sie dafür das Paket zany-patch-demo.</translation>
    </message>
    <message>
      <source>Into column</source>
      <translation>In die Spalte</translation>
    </message>
    <message>
      <source>Iron oxide</source>
      <translation>Eisenoxid</translation>
    </message>
    <message>
      <source>Is</source>
      <translation>Ist</translation>
    </message>
    <message>
      <source>It ends sooner once no group moves any more.</source>
      <translation>Es endet früher, sobald sich keine Gruppe mehr bewegt.</translation>
    </message>
    <message>
      <source>It goes on where it was left, from the study menu</source>
      <translation>Er geht weiter, wo er verlassen wurde, über das Studienmenü</translation>
    </message>
    <message>
      <source>It grows no larger</source>
      <translation>Es wird nicht größer</translation>
    </message>
    <message>
      <source>It has {} classes; {} are the most.</source>
      <translation>Es hat {} Klassen; höchstens {} sind möglich.</translation>
    </message>
    <message>
      <source>It has {} rows, and {} numbers in one of them; a matrix has as many of both.</source>
      <translation>Es hat {} Zeilen und in einer davon {} Zahlen; eine Matrix hat gleich viele von beiden.</translation>
    </message>
    <message>
      <source>It holds %1 different values, more than the %2 classes that a map can have; bring it in as something else.</source>
      <translation>Es enthält %1 verschiedene Werte, mehr als die %2 Klassen, die eine Karte haben kann; holen Sie es als etwas anderes herein.</translation>
    </message>
    <message>
      <source>It holds more than a million points.</source>
      <translation>Es enthält mehr als eine Million Punkte.</translation>
    </message>
    <message>
      <source>It holds no classes.</source>
      <translation>Es enthält keine Klassen.</translation>
    </message>
    <message>
      <source>It holds no point.</source>
      <translation>Es enthält keinen Punkt.</translation>
    </message>
    <message>
      <source>It is</source>
      <translation>Es ist</translation>
    </message>
    <message>
      <source>It is made here in about half a minute and takes 350 MB.</source>
      <translation>Sie wird hier in etwa einer halben Minute gemacht und braucht 350 MB.</translation>
    </message>
    <message>
      <source>It lies %1 and %2 of %3 (certainty %4).</source>
      <translation>Es liegt %1 und %2 von %3 (Gewissheit %4).</translation>
    </message>
    <message numerus="yes">
      <source>It says what changed at %1 points.</source>
      <comment>It says what changed at %1 point.</comment>
      <translation>
        <numerusform>Es sagt an %1 Punkt, was sich geändert hat.</numerusform>
        <numerusform>Es sagt an %1 Punkten, was sich geändert hat.</numerusform>
      </translation>
    </message>
    <message>
      <source>It was %1. Now the key of what came after; the same key if nothing changed.</source>
      <translation>Es war %1. Nun die Taste dessen, was nachher kam; dieselbe, wenn sich nichts geändert hat.</translation>
    </message>
    <message>
      <source>Its classes stay as they are; only what is left gets a class</source>
      <translation>Ihre Klassen bleiben, wie sie sind; nur was übrig ist, bekommt eine Klasse</translation>
    </message>
    <message>
      <source>Its classes that are kept as they are</source>
      <translation>Ihre Klassen, die bleiben, wie sie sind</translation>
    </message>
    <message>
      <source>Its first rows</source>
      <translation>Ihre ersten Zeilen</translation>
    </message>
    <message>
      <source>Its id or its abbreviation.</source>
      <translation>Seine Kennung oder Abkürzung.</translation>
    </message>
    <message>
      <source>Its numbers do not tell whether they are power or decibels; say what the values are.</source>
      <translation>Ihre Zahlen sagen nicht, ob sie Leistung oder Dezibel sind; geben Sie an, was die Werte sind.</translation>
    </message>
    <message>
      <source>Its places are in longitude and latitude.</source>
      <translation>Ihre Orte sind in Länge und Breite.</translation>
    </message>
    <message>
      <source>Its role, its number or its name.</source>
      <translation>Seine Rolle, seine Nummer oder sein Name.</translation>
    </message>
    <message>
      <source>Its signature</source>
      <translation>Seine Signatur</translation>
    </message>
    <message>
      <source>Its training areas become those of the other class</source>
      <translation>Seine Trainingsgebiete werden die der anderen Klasse</translation>
    </message>
    <message>
      <source>Its values spread {:.1f} times as wide as those of the middle class.</source>
      <translation>Seine Werte streuen {:.1f}-mal so weit wie die der mittleren Klasse.</translation>
    </message>
    <message>
      <source>Jet Propulsion Laboratory, ASTER user handbook</source>
      <translation>Jet Propulsion Laboratory, ASTER user handbook</translation>
    </message>
    <message>
      <source>Jiang et al. 2008</source>
      <translation>Jiang et al. 2008</translation>
    </message>
    <message>
      <source>Join the scenes</source>
      <translation>Die Szenen zusammenfügen</translation>
    </message>
    <message>
      <source>Join the tables</source>
      <translation>Die Tabellen verbinden</translation>
    </message>
    <message>
      <source>Join with the one above</source>
      <translation>Mit der darüber zusammenfügen</translation>
    </message>
    <message>
      <source>Joined scenes</source>
      <translation>Zusammengefügte Szenen</translation>
    </message>
    <message>
      <source>Joined table</source>
      <translation>Verbundene Tabelle</translation>
    </message>
    <message>
      <source>Join…</source>
      <translation>Verbinden…</translation>
    </message>
    <message>
      <source>Jordan 1969</source>
      <translation>Jordan 1969</translation>
    </message>
    <message>
      <source>Kappa</source>
      <translation>Kappa</translation>
    </message>
    <message>
      <source>Kappa &lt;b&gt;%1&lt;/b&gt; (%2 to %3), standard error %4</source>
      <translation>Kappa &lt;b&gt;%1&lt;/b&gt; (%2 bis %3), Standardfehler %4</translation>
    </message>
    <message>
      <source>Kappa is not defined with one class.</source>
      <translation>Kappa ist mit einer Klasse nicht definiert.</translation>
    </message>
    <message>
      <source>Kaufman and Tanré 1992</source>
      <translation>Kaufman und Tanré 1992</translation>
    </message>
    <message>
      <source>Kawamura, Jayamana and Tsujiko 1996</source>
      <translation>Kawamura, Jayamana und Tsujiko 1996</translation>
    </message>
    <message>
      <source>Keep</source>
      <translation>Behalten</translation>
    </message>
    <message>
      <source>Keep a preset</source>
      <translation>Eine Voreinstellung behalten</translation>
    </message>
    <message>
      <source>Keep area</source>
      <translation>Gebiet behalten</translation>
    </message>
    <message>
      <source>Keep as a preset</source>
      <translation>Als Voreinstellung behalten</translation>
    </message>
    <message>
      <source>Keep as a table of its own</source>
      <translation>Als eigene Tabelle behalten</translation>
    </message>
    <message>
      <source>Keep from</source>
      <translation>Behalten von</translation>
    </message>
    <message>
      <source>Keep in the index book</source>
      <translation>Im Indexbuch behalten</translation>
    </message>
    <message>
      <source>Keep in the index book…</source>
      <translation>Im Indexbuch behalten…</translation>
    </message>
    <message>
      <source>Keep the areas as %1</source>
      <translation>Die Gebiete als %1 behalten</translation>
    </message>
    <message>
      <source>Keep these bands as a preset…</source>
      <translation>Diese Bänder als Voreinstellung behalten…</translation>
    </message>
    <message>
      <source>Keeps shadows out of the water. Snow and very bright roofs come in instead. Needs true reflectance.</source>
      <translation>Hält Schatten aus dem Wasser. Dafür kommen Schnee und sehr helle Dächer hinein. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>Keep…</source>
      <translation>Behalten…</translation>
    </message>
    <message>
      <source>Kept classes</source>
      <translation>Behaltene Klassen</translation>
    </message>
    <message>
      <source>Kept out of training areas</source>
      <translation>Von Trainingsgebieten ferngehalten</translation>
    </message>
    <message>
      <source>Keshri, Shukla and Gupta 2009</source>
      <translation>Keshri, Shukla und Gupta 2009</translation>
    </message>
    <message>
      <source>Key and Benson 2006</source>
      <translation>Key und Benson 2006</translation>
    </message>
    <message>
      <source>Keys</source>
      <translation>Tasten</translation>
    </message>
    <message>
      <source>Kim and van Zyl 2009; Nasirzadehdizaji et al. 2019</source>
      <translation>Kim und van Zyl 2009; Nasirzadehdizaji et al. 2019</translation>
    </message>
    <message>
      <source>Kind</source>
      <translation>Art</translation>
    </message>
    <message>
      <source>Kite (demo), aerial picture</source>
      <translation>Kite (Demo), Luftbild</translation>
    </message>
    <message>
      <source>Kruse et al. 1993</source>
      <translation>Kruse et al. 1993</translation>
    </message>
    <message>
      <source>Label some points first.</source>
      <translation>Bestimmen Sie zuerst einige Punkte.</translation>
    </message>
    <message>
      <source>Labelled by</source>
      <translation>Bestimmt von</translation>
    </message>
    <message>
      <source>Labeller 1</source>
      <translation>Person 1</translation>
    </message>
    <message>
      <source>Labeller 2</source>
      <translation>Person 2</translation>
    </message>
    <message>
      <source>Labelling</source>
      <translation>Bestimmung</translation>
    </message>
    <message>
      <source>Labels</source>
      <translation>Angaben</translation>
    </message>
    <message>
      <source>Labels of %1</source>
      <translation>Angaben von %1</translation>
    </message>
    <message>
      <source>Lacaux et al. 2007</source>
      <translation>Lacaux et al. 2007</translation>
    </message>
    <message>
      <source>Land to water</source>
      <translation>Land bis Wasser</translation>
    </message>
    <message>
      <source>Landsat 1 to 5 MSS, 4 bands, raw counts</source>
      <translation>Landsat 1 bis 5 MSS, 4 Bänder, Rohwerte</translation>
    </message>
    <message>
      <source>Landsat 4 to 7, Collection 2 pixel quality (bits)</source>
      <translation>Landsat 4 bis 7, Collection 2 Pixelqualität (Bits)</translation>
    </message>
    <message>
      <source>Landsat 4/5 TM, 6 bands, surface reflectance</source>
      <translation>Landsat 4/5 TM, 6 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Landsat 7 ETM+, 6 bands, surface reflectance</source>
      <translation>Landsat 7 ETM+, 6 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Landsat 8 and 9, Collection 2 pixel quality (bits)</source>
      <translation>Landsat 8 und 9, Collection 2 Pixelqualität (Bits)</translation>
    </message>
    <message>
      <source>Landsat 8/9 OLI, 7 bands, surface reflectance</source>
      <translation>Landsat 8/9 OLI, 7 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Landsat 8/9 OLI, 7 bands, top of atmosphere, sun not corrected</source>
      <translation>Landsat 8/9 OLI, 7 Bänder, Reflexion am Oberrand der Atmosphäre, Sonne nicht berichtigt</translation>
    </message>
    <message>
      <source>Language</source>
      <translation>Sprache</translation>
    </message>
    <message>
      <source>Last date of %1</source>
      <translation>Letztes Datum von %1</translation>
    </message>
    <message>
      <source>Later</source>
      <translation>Später</translation>
    </message>
    <message>
      <source>Layer</source>
      <translation>Ebene</translation>
    </message>
    <message>
      <source>Layers of any grid and system, at points, in zones or cells.</source>
      <translation>Ebenen jedes Gitters und Systems, an Punkten, in Zonen oder Zellen.</translation>
    </message>
    <message>
      <source>Layers to read</source>
      <translation>Abzulesende Ebenen</translation>
    </message>
    <message>
      <source>Laying them out…</source>
      <translation>Sie werden verteilt…</translation>
    </message>
    <message>
      <source>Learn with the demo</source>
      <translation>Mit der Demo lernen</translation>
    </message>
    <message>
      <source>Learning</source>
      <translation>Lernen</translation>
    </message>
    <message>
      <source>Leave and lose it</source>
      <translation>Verlassen und verlieren</translation>
    </message>
    <message>
      <source>Leave it as it is</source>
      <translation>Lassen, wie es ist</translation>
    </message>
    <message>
      <source>Leave the rest open</source>
      <translation>Den Rest offen lassen</translation>
    </message>
    <message>
      <source>Leave the walk</source>
      <translation>Den Rundgang verlassen</translation>
    </message>
    <message>
      <source>Leaves and stems turn the polarisation, bare ground and water do not. In power, never in decibels; average the speckle first.</source>
      <translation>Blätter und Stängel drehen die Polarisation, offener Boden und Wasser nicht. In Leistung, nie in Dezibel; mitteln Sie zuerst den Speckle.</translation>
    </message>
    <message>
      <source>Lee</source>
      <translation>Lee</translation>
    </message>
    <message>
      <source>Legends (*.json *.csv)</source>
      <translation>Legenden (*.json *.csv)</translation>
    </message>
    <message>
      <source>Legends (*.json *.csv);;All files (*)</source>
      <translation>Legenden (*.json *.csv);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Less</source>
      <translation>Weniger</translation>
    </message>
    <message>
      <source>Let a second labeller label them too…</source>
      <translation>Sie auch von einer zweiten Person bestimmen lassen…</translation>
    </message>
    <message>
      <source>Lies in</source>
      <translation>Liegt in</translation>
    </message>
    <message>
      <source>Like pixels in groups, without training; you name them.</source>
      <translation>Ähnliche Pixel in Gruppen, ohne Training; Sie benennen sie.</translation>
    </message>
    <message>
      <source>Line 1: column {} of {} has no name.</source>
      <translation>Zeile 1: Spalte {} von {} hat keinen Namen.</translation>
    </message>
    <message>
      <source>Line {} has {} cells where the first has {}.</source>
      <translation>Zeile {} hat {} Zellen, die erste {}.</translation>
    </message>
    <message>
      <source>Line {}, column {}: a cell is longer than a million bytes.</source>
      <translation>Zeile {}, Spalte {}: eine Zelle ist länger als eine Million Bytes.</translation>
    </message>
    <message>
      <source>Line {}, column {}: a quote stands within a cell; quote the whole cell and double the quote.</source>
      <translation>Zeile {}, Spalte {}: ein Anführungszeichen steht innerhalb einer Zelle; setzen Sie die ganze Zelle in Anführungszeichen und verdoppeln Sie es.</translation>
    </message>
    <message>
      <source>Line {}, column {}: something follows a closing quote; part the cells there.</source>
      <translation>Zeile {}, Spalte {}: nach einem schließenden Anführungszeichen folgt etwas; trennen Sie dort die Zellen.</translation>
    </message>
    <message>
      <source>Line {}, column {}: the quote that begins here is never closed.</source>
      <translation>Zeile {}, Spalte {}: das Anführungszeichen, das hier beginnt, wird nie geschlossen.</translation>
    </message>
    <message>
      <source>Line {}, column {}: this is no UTF-8; save the file in that encoding.</source>
      <translation>Zeile {}, Spalte {}: das ist kein UTF-8; speichern Sie die Datei in dieser Kodierung.</translation>
    </message>
    <message>
      <source>Lists training pixels that lie far from the rest of the class</source>
      <translation>Listet Trainingspixel auf, die fern vom Rest der Klasse liegen</translation>
    </message>
    <message>
      <source>Litter or growth</source>
      <translation>Streu oder Bewuchs</translation>
    </message>
    <message>
      <source>Lloyd 1982; start by Arthur and Vassilvitskii 2007</source>
      <translation>Lloyd 1982; Beginn nach Arthur und Vassilvitskii 2007</translation>
    </message>
    <message>
      <source>Load a legend</source>
      <translation>Eine Legende laden</translation>
    </message>
    <message>
      <source>Load legend…</source>
      <translation>Legende laden…</translation>
    </message>
    <message>
      <source>Local statistics of a window (Lee 1980), or of the half window on the pixel's own side of an edge (Lee 1981). Averages are of power.</source>
      <translation>Örtliche Statistik eines Fensters (Lee 1980) oder des halben Fensters auf der Seite einer Kante, auf der das Pixel liegt (Lee 1981). Gemittelt wird Leistung.</translation>
    </message>
    <message>
      <source>Look</source>
      <translation>Ansehen</translation>
    </message>
    <message>
      <source>Look at each</source>
      <translation>Jeden ansehen</translation>
    </message>
    <message>
      <source>Look at the files</source>
      <translation>Die Dateien ansehen</translation>
    </message>
    <message>
      <source>Look at them in a viewer elsewhere…</source>
      <translation>Sie anderswo in einem Betrachter ansehen…</translation>
    </message>
    <message>
      <source>Look closer…</source>
      <translation>Genauer ansehen…</translation>
    </message>
    <message>
      <source>Look over and close</source>
      <translation>Durchsehen und abschließen</translation>
    </message>
    <message>
      <source>Look: daylight</source>
      <translation>Aussehen: Tag</translation>
    </message>
    <message>
      <source>Look: dusk</source>
      <translation>Aussehen: Dämmerung</translation>
    </message>
    <message>
      <source>Looks</source>
      <translation>Looks</translation>
    </message>
    <message>
      <source>Louhaichi, Borman and Johnson 2001</source>
      <translation>Louhaichi, Borman und Johnson 2001</translation>
    </message>
    <message>
      <source>Loupe</source>
      <translation>Lupe</translation>
    </message>
    <message>
      <source>Loupe: the back picture enlarged under a glass (L)</source>
      <translation>Lupe: das hintere Bild vergrößert unter einem Glas (L)</translation>
    </message>
    <message>
      <source>Low</source>
      <translation>Niedrig</translation>
    </message>
    <message>
      <source>Low is burnt.</source>
      <translation>Niedrig ist verbrannt.</translation>
    </message>
    <message>
      <source>Low is forest.</source>
      <translation>Niedrig ist Wald.</translation>
    </message>
    <message>
      <source>Low is growth.</source>
      <translation>Niedrig ist Bewuchs.</translation>
    </message>
    <message>
      <source>Lowest level</source>
      <translation>Niedrigste Stufe</translation>
    </message>
    <message>
      <source>M</source>
      <translation>M</translation>
    </message>
    <message>
      <source>MODIS MOD09, internal cloud and cirrus (bits)</source>
      <translation>MODIS MOD09, interne Wolken und Cirrus (Bits)</translation>
    </message>
    <message>
      <source>MODIS, 7 land bands, surface reflectance</source>
      <translation>MODIS, 7 Landbänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Made</source>
      <translation>Gemacht</translation>
    </message>
    <message>
      <source>Made %1 with %2</source>
      <translation>%1 mit %2 gemacht</translation>
    </message>
    <message>
      <source>Made from</source>
      <translation>Gemacht aus</translation>
    </message>
    <message>
      <source>Madeira et al. 1997</source>
      <translation>Madeira et al. 1997</translation>
    </message>
    <message>
      <source>Mahalanobis distance</source>
      <translation>Mahalanobis-Abstand</translation>
    </message>
    <message>
      <source>Majority in, pixels</source>
      <translation>Mehrheit in Pixeln</translation>
    </message>
    <message>
      <source>Make</source>
      <translation>Machen</translation>
    </message>
    <message>
      <source>Make %1</source>
      <translation>%1 machen</translation>
    </message>
    <message numerus="yes">
      <source>Make %1 cells</source>
      <comment>Make %1 cell</comment>
      <translation>
        <numerusform>%1 Zelle machen</numerusform>
        <numerusform>%1 Zellen machen</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>Make %1 points</source>
      <comment>Make %1 point</comment>
      <translation>
        <numerusform>%1 Punkt machen</numerusform>
        <numerusform>%1 Punkte machen</numerusform>
      </translation>
    </message>
    <message>
      <source>Make Ondrey Haven</source>
      <translation>Ondrey Haven machen</translation>
    </message>
    <message>
      <source>Make an area %1</source>
      <translation>Ein Gebiet zu %1 machen</translation>
    </message>
    <message>
      <source>Make cells</source>
      <translation>Zellen machen</translation>
    </message>
    <message>
      <source>Make class maps of two dates first.</source>
      <translation>Machen Sie zuerst Klassenkarten zweier Daten.</translation>
    </message>
    <message numerus="yes">
      <source>Make map of %n classes</source>
      <comment>Make map of %n class</comment>
      <translation>
        <numerusform>Karte mit %n Klasse machen</numerusform>
        <numerusform>Karte mit %n Klassen machen</numerusform>
      </translation>
    </message>
    <message>
      <source>Make points</source>
      <translation>Punkte machen</translation>
    </message>
    <message>
      <source>Make points or cells first, or bring in an outline.</source>
      <translation>Machen Sie zuerst Punkte oder Zellen, oder holen Sie einen Umriss herein.</translation>
    </message>
    <message>
      <source>Make polygons</source>
      <translation>Polygone machen</translation>
    </message>
    <message>
      <source>Make the class map</source>
      <translation>Die Klassenkarte machen</translation>
    </message>
    <message>
      <source>Make the demo</source>
      <translation>Die Demo machen</translation>
    </message>
    <message>
      <source>Make the difference</source>
      <translation>Die Differenz machen</translation>
    </message>
    <message>
      <source>Make the index of one date first, and set its threshold.</source>
      <translation>Machen Sie zuerst den Index eines Datums, und setzen Sie seinen Schwellenwert.</translation>
    </message>
    <message>
      <source>Make the map</source>
      <translation>Die Karte machen</translation>
    </message>
    <message numerus="yes">
      <source>Make the map of %n classes</source>
      <comment>Make the map of %n class</comment>
      <translation>
        <numerusform>Die Karte mit %n Klasse machen</numerusform>
        <numerusform>Die Karte mit %n Klassen machen</numerusform>
      </translation>
    </message>
    <message>
      <source>Make the summary</source>
      <translation>Die Zusammenfassung machen</translation>
    </message>
    <message>
      <source>Makes an area of the pixels around one that are like it</source>
      <translation>Macht ein Gebiet aus den Pixeln um eines, die ihm gleichen</translation>
    </message>
    <message>
      <source>Makes an empty study where you want it (Ctrl N)</source>
      <translation>Legt eine leere Studie an, wo Sie sie wollen (Strg N)</translation>
    </message>
    <message>
      <source>Many decision trees, each grown on a draw of the training pixels, vote. It takes features of any unit together and tells which of them helped.</source>
      <translation>Viele Entscheidungsbäume, jeder an einer Ziehung der Trainingspixel gewachsen, stimmen ab. Es nimmt Merkmale jeder Einheit zusammen und sagt, welche davon halfen.</translation>
    </message>
    <message>
      <source>Map</source>
      <translation>Karte</translation>
    </message>
    <message numerus="yes">
      <source>Map %n classes</source>
      <comment>Map %n class</comment>
      <translation>
        <numerusform>%n Klasse kartieren</numerusform>
        <numerusform>%n Klassen kartieren</numerusform>
      </translation>
    </message>
    <message>
      <source>Map by these segments</source>
      <translation>Mit diesen Segmenten kartieren</translation>
    </message>
    <message>
      <source>Map the change</source>
      <translation>Die Veränderung kartieren</translation>
    </message>
    <message>
      <source>Map to hand over</source>
      <translation>Karte zum Weitergeben</translation>
    </message>
    <message>
      <source>Map to hand over…</source>
      <translation>Karte zum Weitergeben…</translation>
    </message>
    <message>
      <source>Mapping</source>
      <translation>Kartierung</translation>
    </message>
    <message>
      <source>Maps are trained by areas, or clustered without. Choose a trained one.</source>
      <translation>Karten werden durch Gebiete trainiert oder ohne sie geclustert. Wählen Sie eine trainierte.</translation>
    </message>
    <message>
      <source>Margin of every class</source>
      <translation>Spanne jeder Klasse</translation>
    </message>
    <message>
      <source>Margin of overall accuracy</source>
      <translation>Spanne der Gesamtgenauigkeit</translation>
    </message>
    <message>
      <source>Matrix</source>
      <translation>Matrix</translation>
    </message>
    <message>
      <source>Matrix as CSV</source>
      <translation>Matrix als CSV</translation>
    </message>
    <message>
      <source>Matrix as CSV…</source>
      <translation>Matrix als CSV…</translation>
    </message>
    <message>
      <source>Maximum likelihood</source>
      <translation>Maximum likelihood</translation>
    </message>
    <message>
      <source>Maximum likelihood asks which class a pixel's bands speak for most. Choose it: it is quick, and good where a class is one kind of ground.</source>
      <translation>Maximum Likelihood fragt, für welche Klasse die Bänder eines Pixels am meisten sprechen. Wählen Sie es: es ist schnell, und gut, wo eine Klasse eine Art von Boden ist.</translation>
    </message>
    <message>
      <source>McFeeters 1996</source>
      <translation>McFeeters 1996</translation>
    </message>
    <message>
      <source>Mean difference %1, spread %2, correlation %3.</source>
      <translation>Mittlere Differenz %1, Streuung %2, Korrelation %3.</translation>
    </message>
    <message>
      <source>Mean, spread, lowest or highest value, or the day of the year when it is highest.</source>
      <translation>Mittel, Streuung, niedrigster oder höchster Wert, oder der Tag des Jahres, an dem er am höchsten ist.</translation>
    </message>
    <message>
      <source>Meaning of its bits or values</source>
      <translation>Bedeutung seiner Bits oder Werte</translation>
    </message>
    <message>
      <source>Means are of power, told in decibels</source>
      <translation>Mittel sind solche der Leistung, in Dezibel angegeben</translation>
    </message>
    <message>
      <source>Means over the rows, each counted as much; at the right those of the last bar.</source>
      <translation>Mittel über die Zeilen, jede gleich gezählt; rechts die des letzten Balkens.</translation>
    </message>
    <message>
      <source>Measure</source>
      <translation>Messen</translation>
    </message>
    <message>
      <source>Measure the shift</source>
      <translation>Den Versatz messen</translation>
    </message>
    <message>
      <source>Measures</source>
      <translation>Maße</translation>
    </message>
    <message>
      <source>Measuring…</source>
      <translation>Es wird gemessen…</translation>
    </message>
    <message numerus="yes">
      <source>Median of %n dates</source>
      <comment>Median of %n date</comment>
      <translation>
        <numerusform>Median aus %n Datum</numerusform>
        <numerusform>Median aus %n Daten</numerusform>
      </translation>
    </message>
    <message>
      <source>Mend the formula first.</source>
      <translation>Berichtigen Sie zuerst die Formel.</translation>
    </message>
    <message>
      <source>Merge %1 into %2</source>
      <translation>%1 in %2 aufgehen lassen</translation>
    </message>
    <message>
      <source>Merge below</source>
      <translation>Vereinen unter</translation>
    </message>
    <message>
      <source>Merge into</source>
      <translation>Aufgehen in</translation>
    </message>
    <message>
      <source>Merzlyak et al. 1999</source>
      <translation>Merzlyak et al. 1999</translation>
    </message>
    <message>
      <source>Method</source>
      <translation>Verfahren</translation>
    </message>
    <message>
      <source>Mid-infrared burn index</source>
      <translation>Brandindex im mittleren Infrarot</translation>
    </message>
    <message>
      <source>Minimum distance</source>
      <translation>Kleinster Abstand</translation>
    </message>
    <message>
      <source>Mishra and Mishra 2012</source>
      <translation>Mishra und Mishra 2012</translation>
    </message>
    <message>
      <source>Mitchard et al. 2012</source>
      <translation>Mitchard et al. 2012</translation>
    </message>
    <message>
      <source>Mixed</source>
      <translation>Gemischt</translation>
    </message>
    <message>
      <source>Mixed: mostly %1. Now the key of the other class.</source>
      <translation>Gemischt: meist %1. Nun die Taste der anderen Klasse.</translation>
    </message>
    <message>
      <source>Mixed: the key of the class that most of it is, then that of the other.</source>
      <translation>Gemischt: die Taste der Klasse, die das meiste davon ist, dann die der anderen.</translation>
    </message>
    <message>
      <source>Models (*.json)</source>
      <translation>Modelle (*.json)</translation>
    </message>
    <message>
      <source>Models and signatures (*.json);;All files (*)</source>
      <translation>Modelle und Signaturen (*.json);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Modified chlorophyll absorption in reflectance index</source>
      <translation>Abgewandelter Chlorophyllabsorptionsindex</translation>
    </message>
    <message>
      <source>Modified normalised difference water index</source>
      <translation>Abgewandelter normierter Differenz-Wasserindex</translation>
    </message>
    <message>
      <source>Modified soil-adjusted vegetation index 2</source>
      <translation>Abgewandelter bodenbereinigter Vegetationsindex 2</translation>
    </message>
    <message>
      <source>Moisture</source>
      <translation>Feuchte</translation>
    </message>
    <message>
      <source>Moisture of the canopy</source>
      <translation>Feuchte des Bestandes</translation>
    </message>
    <message>
      <source>Moisture stress</source>
      <translation>Feuchtestress</translation>
    </message>
    <message>
      <source>Moisture stress index</source>
      <translation>Feuchtestressindex</translation>
    </message>
    <message>
      <source>More than chance by itself (p &lt; 0.05): %1.</source>
      <translation>Für sich mehr als Zufall (p &lt; 0,05): %1.</translation>
    </message>
    <message>
      <source>More than {} points are asked for; ask for fewer.</source>
      <translation>Mehr als {} Punkte sind verlangt; verlangen Sie weniger.</translation>
    </message>
    <message>
      <source>More trees make steadier maps and take longer; beyond a few hundred little changes.</source>
      <translation>Mehr Bäume machen die Karte stetiger und dauern länger; über einige hundert hinaus ändert sich wenig.</translation>
    </message>
    <message>
      <source>More: edges, topping up, system…</source>
      <translation>Mehr: Ränder, Auffüllen, System…</translation>
    </message>
    <message>
      <source>More…</source>
      <translation>Mehr…</translation>
    </message>
    <message>
      <source>Most alike</source>
      <translation>Am ähnlichsten</translation>
    </message>
    <message>
      <source>Move %1 to the bin</source>
      <translation>%1 in den Papierkorb legen</translation>
    </message>
    <message>
      <source>Much chlorophyll</source>
      <translation>Viel Chlorophyll</translation>
    </message>
    <message>
      <source>N</source>
      <translation>N</translation>
    </message>
    <message>
      <source>N to write, Esc to go back</source>
      <translation>N zum Schreiben, Esc zurück</translation>
    </message>
    <message>
      <source>NASA, MOD09 User's Guide, 1 km reflectance data state</source>
      <translation>NASA, MOD09 User's Guide, 1 km reflectance data state</translation>
    </message>
    <message>
      <source>Name</source>
      <translation>Name</translation>
    </message>
    <message>
      <source>Name cluster %1</source>
      <translation>Cluster %1 benennen</translation>
    </message>
    <message>
      <source>Name clusters by the nearest</source>
      <translation>Cluster nach dem Nächsten benennen</translation>
    </message>
    <message>
      <source>Name of the index</source>
      <translation>Name des Index</translation>
    </message>
    <message>
      <source>Name of the sensor</source>
      <translation>Name des Sensors</translation>
    </message>
    <message>
      <source>Name one layer of heights.</source>
      <translation>Nennen Sie eine Ebene von Höhen.</translation>
    </message>
    <message>
      <source>Name the clusters…</source>
      <translation>Die Cluster benennen…</translation>
    </message>
    <message>
      <source>Name them</source>
      <translation>Benennen Sie sie</translation>
    </message>
    <message>
      <source>Name, date</source>
      <translation>Name, Datum</translation>
    </message>
    <message>
      <source>Name, hide, drop</source>
      <translation>Benennen, ausblenden, weglassen</translation>
    </message>
    <message>
      <source>Naming the clusters</source>
      <translation>Die Cluster benennen</translation>
    </message>
    <message>
      <source>National Aeronautics and Space Administration, MOD09 user's guide</source>
      <translation>National Aeronautics and Space Administration, MOD09 user's guide</translation>
    </message>
    <message>
      <source>National Aeronautics and Space Administration, VNP09 user's guide</source>
      <translation>National Aeronautics and Space Administration, VNP09 user's guide</translation>
    </message>
    <message>
      <source>National Institute for Space Research, CBERS-4 camera descriptions</source>
      <translation>National Institute for Space Research, CBERS-4 camera descriptions</translation>
    </message>
    <message>
      <source>Near</source>
      <translation>Nah</translation>
    </message>
    <message>
      <source>Near 0 over smooth bare ground, towards 1 over random canopies. Speckle moves a single pixel by a third: average first.</source>
      <translation>Nahe 0 über glattem offenem Boden, gegen 1 über ungeordneten Beständen. Speckle verschiebt ein einzelnes Pixel um ein Drittel: mitteln Sie zuerst.</translation>
    </message>
    <message>
      <source>Near 1 is growth, far lower is built-up.</source>
      <translation>Nahe 1 ist Bewuchs, viel niedriger ist bebaut.</translation>
    </message>
    <message>
      <source>Near 1 or −1, two bands tell the same of this class. The diagonal is 1 and says nothing, neither of spread nor of peaks.</source>
      <translation>Nahe 1 oder −1 sagen zwei Bänder dasselbe über diese Klasse. Die Diagonale ist 1 und sagt nichts, weder von Streuung noch von Gipfeln.</translation>
    </message>
    <message>
      <source>Near infrared against red. Leaves reflect near infrared and absorb red, so dense green growth comes near 1, bare ground near 0.1 and water below 0. It saturates over closed canopies and rises with wet, dark soil.</source>
      <translation>Nahes Infrarot gegen Rot. Blätter reflektieren nahes Infrarot und nehmen Rot auf; dichter grüner Bewuchs kommt daher nahe 1, offener Boden nahe 0,1 und Wasser unter 0. Er sättigt über geschlossenen Beständen und steigt mit nassem, dunklem Boden.</translation>
    </message>
    <message>
      <source>Near infrared against short-wave infrared near 1600 nm, raised so that leaf area counts less than water. Needs a closed canopy; over open ground it follows the soil.</source>
      <translation>Nahes Infrarot gegen kurzwelliges Infrarot nahe 1600 nm, so angehoben, dass die Blattfläche weniger zählt als das Wasser. Braucht einen geschlossenen Bestand; über offenem Grund folgt er dem Boden.</translation>
    </message>
    <message>
      <source>Near infrared against short-wave infrared, which water in leaves absorbs. Irrigated or wet canopies are above 0.2, dry and open ones near or below 0. Open water is high too: mask it first.</source>
      <translation>Nahes Infrarot gegen kurzwelliges Infrarot, das Wasser in Blättern aufnimmt. Bewässerte oder nasse Bestände liegen über 0,2, trockene und offene nahe oder unter 0. Offenes Wasser ist auch hoch: nehmen Sie es zuerst aus.</translation>
    </message>
    <message>
      <source>Near infrared in it keeps snow under trees visible. Water near 0 is noisy.</source>
      <translation>Das nahe Infrarot darin lässt Schnee unter Bäumen sichtbar. Wasser nahe 0 rauscht.</translation>
    </message>
    <message>
      <source>Near infrared less red</source>
      <translation>Nahes Infrarot minus Rot</translation>
    </message>
    <message>
      <source>Near infrared of the plants</source>
      <translation>Nahes Infrarot der Pflanzen</translation>
    </message>
    <message>
      <source>Near infrared to red</source>
      <translation>Nahes Infrarot zu Rot</translation>
    </message>
    <message>
      <source>Near infrared, which falls when leaves burn, against long short-wave infrared, which rises with char. Compare a date before with one after; a single date confuses burnt ground with bare soil and water.</source>
      <translation>Nahes Infrarot, das fällt, wenn Blätter brennen, gegen langes kurzwelliges Infrarot, das mit Kohle steigt. Vergleichen Sie ein Datum vorher mit einem nachher; ein einzelnes verwechselt Verbranntes mit offenem Boden und Wasser.</translation>
    </message>
    <message>
      <source>Near to long short-wave infrared as a plain ratio: char falls below 1. Dry bare soil lies near 1 too.</source>
      <translation>Nahes zu langem kurzwelligem Infrarot als einfaches Verhältnis: Kohle fällt unter 1. Trockener offener Boden liegt auch nahe 1.</translation>
    </message>
    <message>
      <source>Near-infrared reflectance of vegetation</source>
      <translation>Nahinfrarot-Reflexion der Vegetation</translation>
    </message>
    <message>
      <source>Nearest neighbours</source>
      <translation>Nächste Nachbarn</translation>
    </message>
    <message>
      <source>Nearest of</source>
      <translation>Nächstes von</translation>
    </message>
    <message>
      <source>Neighbourhood</source>
      <translation>Nachbarschaft</translation>
    </message>
    <message>
      <source>Neighbours</source>
      <translation>Nachbarn</translation>
    </message>
    <message>
      <source>Neither map has a class {}; choose one that they have.</source>
      <translation>Keine der Karten hat eine Klasse {}; wählen Sie eine, die sie haben.</translation>
    </message>
    <message>
      <source>New</source>
      <translation>Neu</translation>
    </message>
    <message>
      <source>New class</source>
      <translation>Neue Klasse</translation>
    </message>
    <message>
      <source>New in it: %1.</source>
      <translation>Neu darin: %1.</translation>
    </message>
    <message>
      <source>New name</source>
      <translation>Neuer Name</translation>
    </message>
    <message>
      <source>New study</source>
      <translation>Neue Studie</translation>
    </message>
    <message>
      <source>New study: a new folder</source>
      <translation>Neue Studie: ein neuer Ordner</translation>
    </message>
    <message>
      <source>New study…</source>
      <translation>Neue Studie…</translation>
    </message>
    <message>
      <source>No band is chosen; choose one or more.</source>
      <translation>Kein Band ist gewählt; wählen Sie eines oder mehrere.</translation>
    </message>
    <message>
      <source>No band to sharpen is chosen; choose one or more.</source>
      <translation>Kein Band zum Schärfen ist gewählt; wählen Sie eines oder mehrere.</translation>
    </message>
    <message>
      <source>No catalogue is chosen.</source>
      <translation>Kein Katalog ist gewählt.</translation>
    </message>
    <message>
      <source>No class below</source>
      <translation>Keine Klasse unter</translation>
    </message>
    <message>
      <source>No class is matched with one of the legend; match one or more first.</source>
      <translation>Keine Klasse ist einer der Legende zugeordnet; ordnen Sie zuerst eine oder mehrere zu.</translation>
    </message>
    <message>
      <source>No class of the legend: %1.</source>
      <translation>Keine Klasse der Legende: %1.</translation>
    </message>
    <message>
      <source>No cluster has a class yet; give one or more a class first.</source>
      <translation>Noch hat kein Cluster eine Klasse; geben Sie zuerst einem oder mehreren eine.</translation>
    </message>
    <message>
      <source>No cluster without a name is within two spreads of a class.</source>
      <translation>Kein Cluster ohne Namen liegt innerhalb zweier Streuungen einer Klasse.</translation>
    </message>
    <message>
      <source>No data: {} pixels have a value in ours alone, {} in theirs alone; masks or no-data values differ.</source>
      <translation>Keine Daten: {} Pixel haben nur in unserem einen Wert, {} nur in ihrem; Masken oder Werte für keine Daten sind verschieden.</translation>
    </message>
    <message>
      <source>No feature is chosen; choose one or more.</source>
      <translation>Kein Merkmal ist gewählt; wählen Sie eines oder mehrere.</translation>
    </message>
    <message>
      <source>No file can be written in “{}” ({}); choose another folder.</source>
      <translation>In „{}“ kann keine Datei geschrieben werden ({}); wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>No file can be written in “{}”; choose another folder.</source>
      <translation>In „{}“ kann keine Datei geschrieben werden; wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>No file was chosen; choose one or more rasters.</source>
      <translation>Keine Datei wurde gewählt; wählen Sie ein Raster oder mehrere.</translation>
    </message>
    <message>
      <source>No index of the book has these words.</source>
      <translation>Kein Index des Buches hat diese Wörter.</translation>
    </message>
    <message>
      <source>No labelled point lies in any of them.</source>
      <translation>In keiner davon liegt ein bestimmter Punkt.</translation>
    </message>
    <message>
      <source>No labelled point lies on this map.</source>
      <translation>Auf dieser Karte liegt kein bestimmter Punkt.</translation>
    </message>
    <message>
      <source>No pixel has a class in both maps; choose maps of one place.</source>
      <translation>Kein Pixel hat in beiden Karten eine Klasse; wählen Sie Karten eines Ortes.</translation>
    </message>
    <message>
      <source>No pixel has a value in every feature; choose others or another place.</source>
      <translation>Kein Pixel hat in jedem Merkmal einen Wert; wählen Sie andere oder einen anderen Ort.</translation>
    </message>
    <message>
      <source>No pixel has a value in every feature; choose others.</source>
      <translation>Kein Pixel hat in jedem Merkmal einen Wert; wählen Sie andere.</translation>
    </message>
    <message>
      <source>No pixel there has a value, so there are no cells.</source>
      <translation>Kein Pixel dort hat einen Wert; daher gibt es keine Zellen.</translation>
    </message>
    <message>
      <source>No point has been put down yet.</source>
      <translation>Noch ist kein Punkt gesetzt.</translation>
    </message>
    <message>
      <source>No point is %1 on the ground, so it has no producer's accuracy.</source>
      <translation>Kein Punkt ist am Boden %1; daher hat es keine Herstellergenauigkeit.</translation>
    </message>
    <message>
      <source>No point is mapped as %1, so it has no user's accuracy.</source>
      <translation>Kein Punkt ist als %1 kartiert; daher hat es keine Nutzergenauigkeit.</translation>
    </message>
    <message>
      <source>No point mapped as %1 is %2 on the ground.</source>
      <translation>Kein als %1 kartierter Punkt ist am Boden %2.</translation>
    </message>
    <message>
      <source>No point of so wide a lattice falls on a valid pixel; give a smaller spacing, or choose another raster or area.</source>
      <translation>Kein Punkt eines so weiten Gitters fällt auf ein gültiges Pixel; geben Sie einen kleineren Abstand an, oder wählen Sie ein anderes Raster oder Gebiet.</translation>
    </message>
    <message>
      <source>No row has coordinates in “{}” and “{}”.</source>
      <translation>Keine Zeile hat Koordinaten in „{}“ und „{}“.</translation>
    </message>
    <message>
      <source>No row is shown.</source>
      <translation>Keine Zeile ist zu sehen.</translation>
    </message>
    <message>
      <source>No row would change.</source>
      <translation>Keine Zeile würde sich ändern.</translation>
    </message>
    <message>
      <source>No scene here has smaller pixels than this one.</source>
      <translation>Keine Szene hier hat kleinere Pixel als diese.</translation>
    </message>
    <message>
      <source>No scene is chosen; choose one or more.</source>
      <translation>Keine Szene ist gewählt; wählen Sie eine oder mehrere.</translation>
    </message>
    <message>
      <source>No scene of the archive is like that.</source>
      <translation>Keine Szene des Archivs ist so.</translation>
    </message>
    <message>
      <source>No study</source>
      <translation>Keine Studie</translation>
    </message>
    <message>
      <source>No training area covers a pixel of the scene; check that they lie on it and are larger than a pixel.</source>
      <translation>Kein Trainingsgebiet bedeckt ein Pixel der Szene; prüfen Sie, ob sie darauf liegen und größer als ein Pixel sind.</translation>
    </message>
    <message>
      <source>No training pixel of %1 lies far from the rest.</source>
      <translation>Kein Trainingspixel von %1 liegt fern vom Rest.</translation>
    </message>
    <message>
      <source>No training pixels of this class yet.</source>
      <translation>Noch keine Trainingspixel dieser Klasse.</translation>
    </message>
    <message>
      <source>No way leads from one reference system to the other; give the layer its right one.</source>
      <translation>Kein Weg führt von einem Bezugssystem zum anderen; geben Sie der Ebene ihr richtiges.</translation>
    </message>
    <message>
      <source>No-data value</source>
      <translation>Wert für keine Daten</translation>
    </message>
    <message>
      <source>Non-linear index</source>
      <translation>Nichtlinearer Index</translation>
    </message>
    <message>
      <source>None of the polygons lies within the raster; choose others.</source>
      <translation>Keines der Polygone liegt im Raster; wählen Sie andere.</translation>
    </message>
    <message>
      <source>None of these areas covers a pixel of the scene; choose areas that lie on it.</source>
      <translation>Keines dieser Gebiete bedeckt ein Pixel der Szene; wählen Sie Gebiete, die darauf liegen.</translation>
    </message>
    <message>
      <source>Normalise</source>
      <translation>Angleichen</translation>
    </message>
    <message>
      <source>Normalised burn ratio</source>
      <translation>Normiertes Brandverhältnis</translation>
    </message>
    <message>
      <source>Normalised burn ratio 2</source>
      <translation>Normiertes Brandverhältnis 2</translation>
    </message>
    <message>
      <source>Normalised difference built-up index</source>
      <translation>Normierter Differenz-Bebauungsindex</translation>
    </message>
    <message>
      <source>Normalised difference chlorophyll index</source>
      <translation>Normierter Differenz-Chlorophyllindex</translation>
    </message>
    <message>
      <source>Normalised difference glacier index</source>
      <translation>Normierter Differenz-Gletscherindex</translation>
    </message>
    <message>
      <source>Normalised difference moisture index</source>
      <translation>Normierter Differenz-Feuchteindex</translation>
    </message>
    <message>
      <source>Normalised difference polarisation index</source>
      <translation>Normierter Differenz-Polarisationsindex</translation>
    </message>
    <message>
      <source>Normalised difference red-edge index</source>
      <translation>Normierter Differenz-Red-Edge-Index</translation>
    </message>
    <message>
      <source>Normalised difference snow index</source>
      <translation>Normierter Differenz-Schneeindex</translation>
    </message>
    <message>
      <source>Normalised difference tillage index</source>
      <translation>Normierter Differenz-Bodenbearbeitungsindex</translation>
    </message>
    <message>
      <source>Normalised difference turbidity index</source>
      <translation>Normierter Differenz-Trübungsindex</translation>
    </message>
    <message>
      <source>Normalised difference vegetation index</source>
      <translation>Normierter Differenz-Vegetationsindex</translation>
    </message>
    <message>
      <source>Normalised difference water index</source>
      <translation>Normierter Differenz-Wasserindex</translation>
    </message>
    <message>
      <source>Normalised multi-band drought index</source>
      <translation>Normierter Mehrband-Dürreindex</translation>
    </message>
    <message>
      <source>North of a pixel's corner</source>
      <translation>Hochwert einer Pixelecke</translation>
    </message>
    <message>
      <source>Not divided by brightness, so light and slope stay in it. Separates growth from soil and water on one evenly lit scene only.</source>
      <translation>Nicht durch die Helligkeit geteilt; Licht und Hang bleiben daher darin. Trennt Bewuchs von Boden und Wasser nur auf einer gleichmäßig beleuchteten Szene.</translation>
    </message>
    <message>
      <source>Not now</source>
      <translation>Nicht jetzt</translation>
    </message>
    <message>
      <source>Not with this scene: %1</source>
      <translation>Nicht mit dieser Szene: %1</translation>
    </message>
    <message>
      <source>Not with this scene: %1 and %2 more</source>
      <translation>Nicht mit dieser Szene: %1 und %2 weitere</translation>
    </message>
    <message>
      <source>Note</source>
      <translation>Notiz</translation>
    </message>
    <message>
      <source>Note on a training area</source>
      <translation>Notiz zu einem Trainingsgebiet</translation>
    </message>
    <message>
      <source>Nothing is chosen to read; choose one or more.</source>
      <translation>Nichts ist zum Ablesen gewählt; wählen Sie eines oder mehrere.</translation>
    </message>
    <message>
      <source>Nothing is in front; show a scene or a product first.</source>
      <translation>Nichts ist vorn; zeigen Sie zuerst eine Szene oder ein Ergebnis.</translation>
    </message>
    <message>
      <source>Nothing is left of the area {} from its edge; give a smaller distance.</source>
      <translation>Vom Gebiet bleibt {} vom Rand nichts übrig; geben Sie einen kleineren Abstand an.</translation>
    </message>
    <message>
      <source>Nothing is set aside.</source>
      <translation>Nichts ist ausgenommen.</translation>
    </message>
    <message>
      <source>Nothing of that name</source>
      <translation>Nichts dieses Namens</translation>
    </message>
    <message>
      <source>Nothing stands there at any of the points.</source>
      <translation>An keinem der Punkte steht dort etwas.</translation>
    </message>
    <message>
      <source>Nothing that is said at the points is a class of the legend, by name or code.</source>
      <translation>Nichts, was an den Punkten gesagt wird, ist eine Klasse der Legende, weder nach Namen noch nach Code.</translation>
    </message>
    <message>
      <source>Nothing to draw</source>
      <translation>Nichts zu zeichnen</translation>
    </message>
    <message>
      <source>Now the pictures are read at the points, one row each. The table opens from here, and goes out as CSV.</source>
      <translation>Nun werden die Bilder an den Punkten abgelesen, eine Zeile je Punkt. Die Tabelle öffnet sich von hier und geht als CSV hinaus.</translation>
    </message>
    <message>
      <source>Number</source>
      <translation>Anzahl</translation>
    </message>
    <message>
      <source>Number type</source>
      <translation>Zahlentyp</translation>
    </message>
    <message>
      <source>Of</source>
      <translation>Von</translation>
    </message>
    <message>
      <source>Of a mixed place the map is right with either of its two classes</source>
      <translation>An einem gemischten Ort hat die Karte mit jeder seiner zwei Klassen recht</translation>
    </message>
    <message>
      <source>Of class maps always the pixel it lies in</source>
      <translation>Bei Klassenkarten immer das Pixel, in dem er liegt</translation>
    </message>
    <message>
      <source>Of each class their number and area, in class maps</source>
      <translation>Von jeder Klasse Anzahl und Fläche, in Klassenkarten</translation>
    </message>
    <message>
      <source>Of each class, in class maps</source>
      <translation>Von jeder Klasse, in Klassenkarten</translation>
    </message>
    <message>
      <source>Of it</source>
      <translation>Davon</translation>
    </message>
    <message>
      <source>Of the order in which the points come</source>
      <translation>Der Reihenfolge, in der die Punkte kommen</translation>
    </message>
    <message>
      <source>Of the pixels. A group with fewer is dissolved.</source>
      <translation>Der Pixel. Eine Gruppe mit weniger wird aufgelöst.</translation>
    </message>
    <message>
      <source>Of the points in each group, so many are right; the line is the 95 % interval. Every point counts the same.</source>
      <translation>Von den Punkten jeder Gruppe sind so viele richtig; die Linie ist das 95-%-Intervall. Jeder Punkt zählt gleich.</translation>
    </message>
    <message>
      <source>Of what is %1 on the ground, the map found &lt;b&gt;%2&lt;/b&gt;: its producer's accuracy. The rest is its omission error.</source>
      <translation>Von dem, was am Boden %1 ist, fand die Karte &lt;b&gt;%2&lt;/b&gt;: seine Herstellergenauigkeit. Der Rest ist sein Auslassungsfehler.</translation>
    </message>
    <message>
      <source>Of what the map calls %1, &lt;b&gt;%2&lt;/b&gt; is %1 on the ground: its user's accuracy. The rest is its commission error.</source>
      <translation>Von dem, was die Karte %1 nennt, ist &lt;b&gt;%2&lt;/b&gt; am Boden %1: seine Nutzergenauigkeit. Der Rest ist sein Kommissionsfehler.</translation>
    </message>
    <message>
      <source>Offset</source>
      <translation>Versatz</translation>
    </message>
    <message>
      <source>Offset: theirs is ours plus {:.4g}; an offset may have been left out on one side.</source>
      <translation>Versatz: ihres ist unseres plus {:.4g}; auf einer Seite wurde vielleicht ein Versatz weggelassen.</translation>
    </message>
    <message>
      <source>On a lattice with a random start</source>
      <translation>Auf einem Gitter mit zufälligem Beginn</translation>
    </message>
    <message>
      <source>On the disk</source>
      <translation>Auf der Platte</translation>
    </message>
    <message>
      <source>On the disk: %1</source>
      <translation>Auf der Platte: %1</translation>
    </message>
    <message>
      <source>On the grid of the first ticked band; whole numbers keep value = stored × scale.</source>
      <translation>Auf dem Gitter des ersten angekreuzten Bandes; ganze Zahlen behalten Wert = gespeichert × Maßstab.</translation>
    </message>
    <message>
      <source>Ondrey Haven is a made-up estuary. Eight steps lead from its bands to a confusion matrix, one hint at a time, with the real controls.</source>
      <translation>Ondrey Haven ist ein erfundenes Ästuar. Acht Schritte führen von seinen Bändern zu einer Fehlermatrix, ein Hinweis nach dem anderen, mit den echten Bedienelementen.</translation>
    </message>
    <message>
      <source>One column</source>
      <translation>Eine Spalte</translation>
    </message>
    <message>
      <source>One index</source>
      <translation>Ein Index</translation>
    </message>
    <message>
      <source>One map for some classes, another for the rest.</source>
      <translation>Eine Karte für einige Klassen, eine andere für den Rest.</translation>
    </message>
    <message>
      <source>One of the layers has no reference system; give it one before using them together.</source>
      <translation>Eine der Ebenen hat kein Bezugssystem; geben Sie ihr eines, bevor Sie sie zusammen verwenden.</translation>
    </message>
    <message>
      <source>One of the layers names no reference system, so it is not known where they meet.</source>
      <translation>Eine der Ebenen nennt kein Bezugssystem; daher ist nicht bekannt, wo sie sich treffen.</translation>
    </message>
    <message>
      <source>One of the two has no interval, as its points are no random sample; so they are not compared.</source>
      <translation>Eine der beiden hat kein Intervall, da ihre Punkte keine Zufallsstichprobe sind; sie werden daher nicht verglichen.</translation>
    </message>
    <message>
      <source>One of the two has no labelled point on it.</source>
      <translation>Auf einer der beiden liegt kein bestimmter Punkt.</translation>
    </message>
    <message>
      <source>One of the two is of a map of change, the other of classes.</source>
      <translation>Eine der beiden gilt einer Karte der Veränderung, die andere Klassen.</translation>
    </message>
    <message>
      <source>One of the two scenes lacks a band that the index needs.</source>
      <translation>Einer der beiden Szenen fehlt ein Band, das der Index braucht.</translation>
    </message>
    <message>
      <source>One of them has no name; write one.</source>
      <translation>Eine davon hat keinen Namen; schreiben Sie einen.</translation>
    </message>
    <message>
      <source>One of these is of every change, the other of what became of one class; the two cannot be brought together.</source>
      <translation>Eine davon gilt jeder Veränderung, die andere dem, was aus einer Klasse wurde; beide lassen sich nicht zusammenbringen.</translation>
    </message>
    <message>
      <source>One place down in the legend (Alt ↓ in the list)</source>
      <translation>Einen Platz tiefer in der Legende (Alt ↓ in der Liste)</translation>
    </message>
    <message>
      <source>One place up in the legend (Alt ↑ in the list)</source>
      <translation>Einen Platz höher in der Legende (Alt ↑ in der Liste)</translation>
    </message>
    <message>
      <source>One quantity against another</source>
      <translation>Eine Größe gegen eine andere</translation>
    </message>
    <message>
      <source>One scale from green to grey for cities. Unsteady where both parts cancel: read its order, not its value.</source>
      <translation>Eine Skala von Grün bis Grau für Städte. Unstet, wo sich beide Teile aufheben: lesen Sie die Reihenfolge, nicht den Wert.</translation>
    </message>
    <message>
      <source>One scene a file</source>
      <translation>Eine Szene je Datei</translation>
    </message>
    <message>
      <source>One scene alone cannot be combined; choose two or more.</source>
      <translation>Eine Szene allein lässt sich nicht verbinden; wählen Sie zwei oder mehr.</translation>
    </message>
    <message>
      <source>One scene out of several dates</source>
      <translation>Eine Szene aus mehreren Daten</translation>
    </message>
    <message>
      <source>One threshold less</source>
      <translation>Ein Schwellenwert weniger</translation>
    </message>
    <message>
      <source>Only %1 of %2 fit with these distances.</source>
      <translation>Mit diesen Abständen passen nur %1 von %2.</translation>
    </message>
    <message>
      <source>Only one class has training areas; a map needs two.</source>
      <translation>Nur eine Klasse hat Trainingsgebiete; eine Karte braucht zwei.</translation>
    </message>
    <message>
      <source>Only so many fit, of %1.</source>
      <translation>So viele passen nur, von %1.</translation>
    </message>
    <message>
      <source>Only so many fit: %1.</source>
      <translation>So viele passen nur: %1.</translation>
    </message>
    <message>
      <source>Only the first %1 curves are drawn</source>
      <translation>Nur die ersten %1 Kurven sind gezeichnet</translation>
    </message>
    <message>
      <source>Only the first %1 groups are drawn.</source>
      <translation>Nur die ersten %1 Gruppen sind gezeichnet.</translation>
    </message>
    <message>
      <source>Only {} points fit {}, not {}; ask for fewer or set them closer together.</source>
      <translation>Nur {} Punkte passen {}, nicht {}; verlangen Sie weniger oder setzen Sie sie näher zusammen.</translation>
    </message>
    <message>
      <source>Opacity</source>
      <translation>Deckkraft</translation>
    </message>
    <message>
      <source>Open a study</source>
      <translation>Eine Studie öffnen</translation>
    </message>
    <message>
      <source>Open it</source>
      <translation>Öffnen</translation>
    </message>
    <message>
      <source>Open study…</source>
      <translation>Studie öffnen…</translation>
    </message>
    <message>
      <source>Open the table</source>
      <translation>Die Tabelle öffnen</translation>
    </message>
    <message>
      <source>Open water</source>
      <translation>Offenes Wasser</translation>
    </message>
    <message>
      <source>Optimised soil-adjusted vegetation index</source>
      <translation>Optimierter bodenbereinigter Vegetationsindex</translation>
    </message>
    <message>
      <source>Order of the legend</source>
      <translation>Ordnung der Legende</translation>
    </message>
    <message>
      <source>Order the rows</source>
      <translation>Die Zeilen ordnen</translation>
    </message>
    <message>
      <source>Other</source>
      <translation>Anderes</translation>
    </message>
    <message>
      <source>Other labels</source>
      <translation>Andere Angaben</translation>
    </message>
    <message>
      <source>Otherwise</source>
      <translation>Sonst</translation>
    </message>
    <message>
      <source>Ours</source>
      <translation>Unsere</translation>
    </message>
    <message>
      <source>Outliers…</source>
      <translation>Ausreißer…</translation>
    </message>
    <message>
      <source>Outlines</source>
      <translation>Umrisse</translation>
    </message>
    <message>
      <source>Outline…</source>
      <translation>Umriss…</translation>
    </message>
    <message>
      <source>Out…</source>
      <translation>Ausgeben…</translation>
    </message>
    <message>
      <source>Over</source>
      <translation>Über</translation>
    </message>
    <message>
      <source>Over class maps of many dates: how many times each pixel was of the class, or at which date first or last.</source>
      <translation>Über Klassenkarten vieler Daten: wie oft jedes Pixel von der Klasse war, oder an welchem Datum zuerst oder zuletzt.</translation>
    </message>
    <message>
      <source>Over growth, low is dry; over soil, high is dry.</source>
      <translation>Über Bewuchs ist niedrig trocken; über Boden ist hoch trocken.</translation>
    </message>
    <message>
      <source>Over the back picture. In the key, a click shows a class alone, a right click hides it.</source>
      <translation>Über dem hinteren Bild. Im Schlüssel zeigt ein Klick eine Klasse allein, ein Rechtsklick blendet sie aus.</translation>
    </message>
    <message>
      <source>Overall accuracy %1 by those, %2 by these: a difference of %3 points (95 % interval %4 to %5).</source>
      <translation>Gesamtgenauigkeit %1 nach jenen, %2 nach diesen: ein Unterschied von %3 Punkten (95-%-Intervall %4 bis %5).</translation>
    </message>
    <message>
      <source>Overall accuracy &lt;b&gt;%1&lt;/b&gt;</source>
      <translation>Gesamtgenauigkeit &lt;b&gt;%1&lt;/b&gt;</translation>
    </message>
    <message>
      <source>Overall accuracy within</source>
      <translation>Gesamtgenauigkeit auf</translation>
    </message>
    <message>
      <source>Overlap above</source>
      <translation>Überdeckung über</translation>
    </message>
    <message>
      <source>Overlapping</source>
      <translation>Überdeckend</translation>
    </message>
    <message>
      <source>Oxidised iron absorbs blue. Only on bare ground; haze lowers it.</source>
      <translation>Oxidiertes Eisen nimmt Blau auf. Nur auf offenem Boden; Dunst senkt ihn.</translation>
    </message>
    <message>
      <source>PDF (*.pdf);;PNG (*.png)</source>
      <translation>PDF (*.pdf);;PNG (*.png)</translation>
    </message>
    <message>
      <source>PNG (*.png)</source>
      <translation>PNG (*.png)</translation>
    </message>
    <message>
      <source>PROBA-V, 4 bands, surface reflectance</source>
      <translation>PROBA-V, 4 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Paloscia 1999</source>
      <translation>Paloscia 1999</translation>
    </message>
    <message>
      <source>Paper</source>
      <translation>Papier</translation>
    </message>
    <message>
      <source>Parameters</source>
      <translation>Parameter</translation>
    </message>
    <message>
      <source>Parted by</source>
      <translation>Getrennt durch</translation>
    </message>
    <message>
      <source>Parts dry bare ground from built-up land better than most in dry climates. Wet soil is missed.</source>
      <translation>Trennt trockenen offenen Boden in trockenem Klima besser als die meisten von bebautem Land. Nasser Boden wird verfehlt.</translation>
    </message>
    <message>
      <source>Parts the training pixels of the class by their own clusters; seen before it is done</source>
      <translation>Teilt die Trainingspixel der Klasse nach ihren eigenen Clustern; zu sehen, bevor es geschieht</translation>
    </message>
    <message>
      <source>Passes</source>
      <translation>Durchgänge</translation>
    </message>
    <message>
      <source>Paste a list</source>
      <translation>Eine Liste einfügen</translation>
    </message>
    <message>
      <source>Paste the list</source>
      <translation>Die Liste einfügen</translation>
    </message>
    <message>
      <source>Patch</source>
      <translation>Fläche</translation>
    </message>
    <message>
      <source>Patches are asked of classes, but “{}” holds real numbers.</source>
      <translation>Flächen gibt es bei Klassen, aber „{}“ enthält Kommazahlen.</translation>
    </message>
    <message>
      <source>Patches of fewer pixels go to the neighbour they share the longest border with. Nothing else changes.</source>
      <translation>Flächen mit weniger Pixeln gehen an den Nachbarn, mit dem sie die längste Grenze teilen. Sonst ändert sich nichts.</translation>
    </message>
    <message>
      <source>Pause</source>
      <translation>Pause</translation>
    </message>
    <message>
      <source>Picture by this line</source>
      <translation>Bild mit dieser Zeile</translation>
    </message>
    <message>
      <source>Picture of %1</source>
      <translation>Bild von %1</translation>
    </message>
    <message>
      <source>Picture out…</source>
      <translation>Bild ausgeben…</translation>
    </message>
    <message>
      <source>Pictures (*.png *.svg *.pdf)</source>
      <translation>Bilder (*.png *.svg *.pdf)</translation>
    </message>
    <message>
      <source>Pieces of like pixels, to be mapped as one each.</source>
      <translation>Stücke ähnlicher Pixel, die je als eines kartiert werden.</translation>
    </message>
    <message>
      <source>Pinty and Verstraete 1992</source>
      <translation>Pinty und Verstraete 1992</translation>
    </message>
    <message>
      <source>Pixel size, in the system's units</source>
      <translation>Pixelgröße, in den Einheiten des Systems</translation>
    </message>
    <message>
      <source>Pixels</source>
      <translation>Pixel</translation>
    </message>
    <message>
      <source>Pixels at most</source>
      <translation>Pixel höchstens</translation>
    </message>
    <message>
      <source>Pixels drawn</source>
      <translation>Gezogene Pixel</translation>
    </message>
    <message>
      <source>Pixels for whose class less speaks stay without a class</source>
      <translation>Pixel, für deren Klasse weniger spricht, bleiben ohne Klasse</translation>
    </message>
    <message>
      <source>Pixels no tree had seen</source>
      <translation>Pixel, die kein Baum gesehen hatte</translation>
    </message>
    <message>
      <source>Pixels of %1</source>
      <translation>Pixel von %1</translation>
    </message>
    <message>
      <source>Pixels of a class</source>
      <translation>Pixel einer Klasse</translation>
    </message>
    <message>
      <source>Pixels of a layer</source>
      <translation>Pixel einer Ebene</translation>
    </message>
    <message>
      <source>Pixels of a segment</source>
      <translation>Pixel eines Segments</translation>
    </message>
    <message>
      <source>Pixels of one class that touch by a side, or also those that touch by a corner.</source>
      <translation>Pixel einer Klasse, die sich mit einer Seite berühren, oder auch solche, die sich mit einer Ecke berühren.</translation>
    </message>
    <message>
      <source>Pixels that are zero in every band and reach the border; zeros inside stay valid</source>
      <translation>Pixel, die in jedem Band null sind und bis an den Rand reichen; Nullen im Inneren bleiben gültig</translation>
    </message>
    <message>
      <source>Place</source>
      <translation>Ort</translation>
    </message>
    <message numerus="yes">
      <source>Place %n points and start labelling</source>
      <comment>Place %n point and start labelling</comment>
      <translation>
        <numerusform>%n Punkt setzen und mit der Bestimmung beginnen</numerusform>
        <numerusform>%n Punkte setzen und mit der Bestimmung beginnen</numerusform>
      </translation>
    </message>
    <message>
      <source>Place of the red edge</source>
      <translation>Lage der Red Edge</translation>
    </message>
    <message>
      <source>Place the points</source>
      <translation>Die Punkte setzen</translation>
    </message>
    <message>
      <source>Places</source>
      <translation>Orte</translation>
    </message>
    <message>
      <source>Places to look at next</source>
      <translation>Orte, die als Nächstes anzusehen sind</translation>
    </message>
    <message>
      <source>Placing…</source>
      <translation>Es wird gesetzt…</translation>
    </message>
    <message>
      <source>Plan</source>
      <translation>Plan</translation>
    </message>
    <message>
      <source>Plan other points…</source>
      <translation>Andere Punkte planen…</translation>
    </message>
    <message>
      <source>Plan the points</source>
      <translation>Die Punkte planen</translation>
    </message>
    <message>
      <source>Plant senescence reflectance index</source>
      <translation>Index der Pflanzenalterung</translation>
    </message>
    <message>
      <source>Point %1 of %2</source>
      <translation>Punkt %1 von %2</translation>
    </message>
    <message>
      <source>Point %1 of %2 for %3, in an order of your own. What the map and the other labeller say stays hidden.</source>
      <translation>Punkt %1 von %2 für %3, in eigener Reihenfolge. Was die Karte und die andere Person sagen, bleibt verborgen.</translation>
    </message>
    <message>
      <source>Point %1 of %2 that you see differently: %3 says %4, %5 says %6. Which is it?</source>
      <translation>Punkt %1 von %2, den Sie verschieden sehen: %3 sagt %4, %5 sagt %6. Was ist es?</translation>
    </message>
    <message>
      <source>Point %1 of %2, in shuffled order. What the map says stays hidden until you close the labelling.</source>
      <translation>Punkt %1 von %2, in gemischter Reihenfolge. Was die Karte sagt, bleibt verborgen, bis Sie die Bestimmung abschließen.</translation>
    </message>
    <message>
      <source>Point %1 of %2: mapped as %3, labelled %4. Another label is recorded as a late change.</source>
      <translation>Punkt %1 von %2: kartiert als %3, bestimmt als %4. Eine andere Angabe wird als späte Änderung vermerkt.</translation>
    </message>
    <message>
      <source>Point at the picture to read its values here.</source>
      <translation>Zeigen Sie auf das Bild, um seine Werte hier zu lesen.</translation>
    </message>
    <message>
      <source>Point {} was not labelled by both.</source>
      <translation>Punkt {} wurde nicht von beiden bestimmt.</translation>
    </message>
    <message>
      <source>Points</source>
      <translation>Punkte</translation>
    </message>
    <message>
      <source>Points across</source>
      <translation>Punkte quer</translation>
    </message>
    <message>
      <source>Points are placed over a raster. Bring a scene in first.</source>
      <translation>Punkte werden über ein Raster gesetzt. Holen Sie zuerst eine Szene herein.</translation>
    </message>
    <message>
      <source>Points as KML…</source>
      <translation>Punkte als KML…</translation>
    </message>
    <message>
      <source>Points by class</source>
      <translation>Punkte nach Klasse</translation>
    </message>
    <message>
      <source>Points down</source>
      <translation>Punkte längs</translation>
    </message>
    <message>
      <source>Points every %1 %2</source>
      <translation>Punkte alle %1 %2</translation>
    </message>
    <message>
      <source>Points for a viewer elsewhere</source>
      <translation>Punkte für einen Betrachter anderswo</translation>
    </message>
    <message>
      <source>Points in %1</source>
      <translation>Punkte in %1</translation>
    </message>
    <message numerus="yes">
      <source>Points in %n blocks</source>
      <comment>Points in %n block</comment>
      <translation>
        <numerusform>Punkte in %n Block</numerusform>
        <numerusform>Punkte in %n Blöcken</numerusform>
      </translation>
    </message>
    <message>
      <source>Points in each class</source>
      <translation>Punkte in jeder Klasse</translation>
    </message>
    <message>
      <source>Points labelled</source>
      <translation>Bestimmte Punkte</translation>
    </message>
    <message>
      <source>Points overlap nothing; ask for the polygon that each lies within.</source>
      <translation>Punkte überdecken nichts; fragen Sie nach dem Polygon, in dem jeder liegt.</translation>
    </message>
    <message>
      <source>Points put down by hand are no random sample: no interval is computed from them.</source>
      <translation>Von Hand gesetzte Punkte sind keine Zufallsstichprobe: daraus wird kein Intervall berechnet.</translation>
    </message>
    <message>
      <source>Polarisation difference, dB</source>
      <translation>Polarisationsdifferenz, dB</translation>
    </message>
    <message>
      <source>Polygons</source>
      <translation>Polygone</translation>
    </message>
    <message>
      <source>Polygons need a scene on whose pixels they are put; choose one.</source>
      <translation>Polygone brauchen eine Szene, auf deren Pixel sie gesetzt werden; wählen Sie eine.</translation>
    </message>
    <message>
      <source>Polygons of %1</source>
      <translation>Polygone von %1</translation>
    </message>
    <message>
      <source>Polygons of classes of the map made from this index, with their areas</source>
      <translation>Polygone von Klassen der Karte aus diesem Index, mit ihren Flächen</translation>
    </message>
    <message>
      <source>Polygons of the chosen classes, each with its area.</source>
      <translation>Polygone der gewählten Klassen, jedes mit seiner Fläche.</translation>
    </message>
    <message>
      <source>Polygons…</source>
      <translation>Polygone…</translation>
    </message>
    <message>
      <source>Power of the scattering</source>
      <translation>Potenz der Streuung</translation>
    </message>
    <message>
      <source>Prepare the labelling</source>
      <translation>Die Bestimmung vorbereiten</translation>
    </message>
    <message>
      <source>Prescribe the delivery grid</source>
      <translation>Das Liefergitter vorschreiben</translation>
    </message>
    <message>
      <source>Press “Put points down”, then click in the view.</source>
      <translation>Drücken Sie „Punkte setzen“, und klicken Sie dann in die Ansicht.</translation>
    </message>
    <message>
      <source>Preview</source>
      <translation>Vorschau</translation>
    </message>
    <message>
      <source>Priors</source>
      <translation>Vorwissen</translation>
    </message>
    <message>
      <source>Probe</source>
      <translation>Sonde</translation>
    </message>
    <message>
      <source>Productive growth</source>
      <translation>Ertragreicher Bewuchs</translation>
    </message>
    <message>
      <source>Profiles of the pinned places</source>
      <translation>Profile der angehefteten Orte</translation>
    </message>
    <message>
      <source>Propose colours</source>
      <translation>Farben vorschlagen</translation>
    </message>
    <message>
      <source>Put a point down</source>
      <translation>Einen Punkt setzen</translation>
    </message>
    <message>
      <source>Put points down</source>
      <translation>Punkte setzen</translation>
    </message>
    <message>
      <source>Put the clusters into the bin</source>
      <translation>Die Cluster in den Papierkorb legen</translation>
    </message>
    <message>
      <source>Put together by folder, name and date. Look whether names, dates and roles are right; untick what is to stay out.</source>
      <translation>Nach Ordner, Name und Datum zusammengestellt. Sehen Sie, ob Namen, Daten und Rollen stimmen; nehmen Sie das Häkchen von dem, was draußen bleiben soll.</translation>
    </message>
    <message>
      <source>Puts each pixel into the group with the nearest mean and takes the means anew, again and again, until they stay.</source>
      <translation>Legt jedes Pixel in die Gruppe mit dem nächsten Mittel und nimmt die Mittel neu, immer wieder, bis sie bleiben.</translation>
    </message>
    <message>
      <source>Qi et al. 1994</source>
      <translation>Qi et al. 1994</translation>
    </message>
    <message>
      <source>Quality band…</source>
      <translation>Qualitätsband…</translation>
    </message>
    <message>
      <source>Quantity disagreement &lt;b&gt;%1 %&lt;/b&gt;, allocation &lt;b&gt;%2 %&lt;/b&gt;</source>
      <translation>Mengenfehler &lt;b&gt;%1 %&lt;/b&gt;, Verteilungsfehler &lt;b&gt;%2 %&lt;/b&gt;</translation>
    </message>
    <message>
      <source>Questions a tree asks of a pixel at most. Fewer give coarser, quicker trees.</source>
      <translation>Fragen, die ein Baum höchstens an ein Pixel stellt. Weniger geben gröbere, schnellere Bäume.</translation>
    </message>
    <message>
      <source>Quit</source>
      <translation>Beenden</translation>
    </message>
    <message>
      <source>Radar %1 through the season, dB</source>
      <translation>Radar %1 durch die Saison, dB</translation>
    </message>
    <message>
      <source>Radar backscatter in decibels, whether the scene has power or decibels.</source>
      <translation>Radarrückstreuung in Dezibel, gleich ob die Szene Leistung oder Dezibel hat.</translation>
    </message>
    <message>
      <source>Radar forest degradation</source>
      <translation>Waldschädigung im Radar</translation>
    </message>
    <message>
      <source>Radar forest degradation index</source>
      <translation>Radarindex der Waldschädigung</translation>
    </message>
    <message>
      <source>Radar polarisation</source>
      <translation>Radarpolarisation</translation>
    </message>
    <message>
      <source>Radar vegetation</source>
      <translation>Radarvegetation</translation>
    </message>
    <message>
      <source>Radar vegetation index, two polarisations</source>
      <translation>Radarvegetationsindex, zwei Polarisationen</translation>
    </message>
    <message numerus="yes">
      <source>Radar, %n dates · %1</source>
      <comment>Radar, %n date · %1</comment>
      <translation>
        <numerusform>Radar, %n Datum · %1</numerusform>
        <numerusform>Radar, %n Daten · %1</numerusform>
      </translation>
    </message>
    <message>
      <source>Ramp</source>
      <translation>Farbverlauf</translation>
    </message>
    <message>
      <source>Random</source>
      <translation>Zufällig</translation>
    </message>
    <message>
      <source>Random forest</source>
      <translation>Random Forest</translation>
    </message>
    <message>
      <source>Range</source>
      <translation>Bereich</translation>
    </message>
    <message>
      <source>Rasters (*.tif *.tiff *.jp2 *.vrt *.png);;All files (*)</source>
      <translation>Raster (*.tif *.tiff *.jp2 *.vrt *.png);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Rasters and STAC (*.tif *.tiff *.jp2 *.nc *.vrt *.png *.jpg *.jpeg *.json);;Class maps as polygons (*.gpkg *.geojson *.shp *.kml);;All files (*)</source>
      <translation>Raster und STAC (*.tif *.tiff *.jp2 *.nc *.vrt *.png *.jpg *.jpeg *.json);;Klassenkarten als Polygone (*.gpkg *.geojson *.shp *.kml);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Rasters, folders of bands and STAC items become a new study in Documents; the files stay where they are. You can also drop them anywhere here.</source>
      <translation>Raster, Ordner mit Bändern und STAC-Einträge werden zu einer neuen Studie in den Dokumenten; die Dateien bleiben, wo sie sind. Sie können sie auch hier irgendwo fallen lassen.</translation>
    </message>
    <message>
      <source>Rasul et al. 2018</source>
      <translation>Rasul et al. 2018</translation>
    </message>
    <message>
      <source>Ratio of VH to VV</source>
      <translation>Verhältnis von VH zu VV</translation>
    </message>
    <message>
      <source>Ratio of red to blue</source>
      <translation>Verhältnis von Rot zu Blau</translation>
    </message>
    <message>
      <source>Ratio of the short-wave bands</source>
      <translation>Verhältnis der kurzwelligen Bänder</translation>
    </message>
    <message>
      <source>Read layers</source>
      <translation>Ebenen ablesen</translation>
    </message>
    <message>
      <source>Reading its columns…</source>
      <translation>Ihre Spalten werden gelesen…</translation>
    </message>
    <message>
      <source>Reading the training pixels…</source>
      <translation>Die Trainingspixel werden gelesen…</translation>
    </message>
    <message>
      <source>Readings</source>
      <translation>Ablesungen</translation>
    </message>
    <message>
      <source>Readings at %1</source>
      <translation>Ablesungen an %1</translation>
    </message>
    <message>
      <source>Recent</source>
      <translation>Zuletzt</translation>
    </message>
    <message>
      <source>Recent studies</source>
      <translation>Letzte Studien</translation>
    </message>
    <message>
      <source>Record the change</source>
      <translation>Die Änderung vermerken</translation>
    </message>
    <message>
      <source>Rectangle</source>
      <translation>Rechteck</translation>
    </message>
    <message>
      <source>Red channel</source>
      <translation>Rotkanal</translation>
    </message>
    <message>
      <source>Red-edge chlorophyll index</source>
      <translation>Red-Edge-Chlorophyllindex</translation>
    </message>
    <message>
      <source>Red-edge position by straight lines, nm</source>
      <translation>Lage der Red Edge durch Geraden, nm</translation>
    </message>
    <message>
      <source>Redness index</source>
      <translation>Rötungsindex</translation>
    </message>
    <message>
      <source>Redo</source>
      <translation>Wiederholen</translation>
    </message>
    <message>
      <source>Reference system</source>
      <translation>Bezugssystem</translation>
    </message>
    <message>
      <source>Reflectance at the point</source>
      <translation>Reflexion am Punkt</translation>
    </message>
    <message>
      <source>Reject beyond</source>
      <translation>Verwerfen jenseits</translation>
    </message>
    <message>
      <source>Reject distance</source>
      <translation>Abstand zum Verwerfen</translation>
    </message>
    <message>
      <source>Remarks</source>
      <translation>Bemerkungen</translation>
    </message>
    <message>
      <source>Remove</source>
      <translation>Entfernen</translation>
    </message>
    <message>
      <source>Remove a training area</source>
      <translation>Ein Trainingsgebiet entfernen</translation>
    </message>
    <message>
      <source>Remove class</source>
      <translation>Klasse entfernen</translation>
    </message>
    <message>
      <source>Remove rule %1</source>
      <translation>Regel %1 entfernen</translation>
    </message>
    <message>
      <source>Remove the class %1</source>
      <translation>Die Klasse %1 entfernen</translation>
    </message>
    <message>
      <source>Remove the last threshold</source>
      <translation>Den letzten Schwellenwert entfernen</translation>
    </message>
    <message>
      <source>Removes the chosen area</source>
      <translation>Entfernt das gewählte Gebiet</translation>
    </message>
    <message>
      <source>Rename</source>
      <translation>Umbenennen</translation>
    </message>
    <message>
      <source>Rename a product</source>
      <translation>Ein Ergebnis umbenennen</translation>
    </message>
    <message>
      <source>Rename a scene</source>
      <translation>Eine Szene umbenennen</translation>
    </message>
    <message>
      <source>Rename the column</source>
      <translation>Die Spalte umbenennen</translation>
    </message>
    <message>
      <source>Rename the column %1</source>
      <translation>Die Spalte %1 umbenennen</translation>
    </message>
    <message>
      <source>Rename…</source>
      <translation>Umbenennen…</translation>
    </message>
    <message>
      <source>Replace</source>
      <translation>Ersetzen</translation>
    </message>
    <message>
      <source>Replace what is there?</source>
      <translation>Vorhandenes ersetzen?</translation>
    </message>
    <message>
      <source>Report…</source>
      <translation>Bericht…</translation>
    </message>
    <message>
      <source>Residuals as a column</source>
      <translation>Residuen als Spalte</translation>
    </message>
    <message>
      <source>Results lie on a prescribed grid</source>
      <translation>Ergebnisse liegen auf einem vorgeschriebenen Gitter</translation>
    </message>
    <message>
      <source>Rich in iron</source>
      <translation>Eisenreich</translation>
    </message>
    <message>
      <source>Richards 2013, ch. 10</source>
      <translation>Richards 2013, Kap. 10</translation>
    </message>
    <message>
      <source>Richards 2013, ch. 8</source>
      <translation>Richards 2013, Kap. 8</translation>
    </message>
    <message>
      <source>Rikimaru et al. 2002</source>
      <translation>Rikimaru et al. 2002</translation>
    </message>
    <message>
      <source>Role</source>
      <translation>Rolle</translation>
    </message>
    <message>
      <source>Role of %1</source>
      <translation>Rolle von %1</translation>
    </message>
    <message>
      <source>Role of band %1</source>
      <translation>Rolle des Bandes %1</translation>
    </message>
    <message>
      <source>Roles here: %1. Also + − * / ^, comparisons, %2.</source>
      <translation>Rollen hier: %1. Auch + − * / ^, Vergleiche, %2.</translation>
    </message>
    <message>
      <source>Rondeaux, Steven and Baret 1996</source>
      <translation>Rondeaux, Steven und Baret 1996</translation>
    </message>
    <message>
      <source>Rounds of corner cutting (Chaikin 1974). Without it the polygons follow the pixels exactly.</source>
      <translation>Runden des Eckenschneidens (Chaikin 1974). Ohne sie folgen die Polygone genau den Pixeln.</translation>
    </message>
    <message>
      <source>Rouse et al. 1974</source>
      <translation>Rouse et al. 1974</translation>
    </message>
    <message>
      <source>Row %</source>
      <translation>Zeilen-%</translation>
    </message>
    <message>
      <source>Row told by</source>
      <translation>Zeile bezeichnet durch</translation>
    </message>
    <message>
      <source>Row {} has no id.</source>
      <translation>Zeile {} hat keine id.</translation>
    </message>
    <message>
      <source>Row {} lies at longitude {} and latitude {}, which there is not; are the columns exchanged, or is the system another?</source>
      <translation>Zeile {} liegt bei Länge {} und Breite {}, die es nicht gibt; sind die Spalten vertauscht, oder ist das System ein anderes?</translation>
    </message>
    <message>
      <source>Rows</source>
      <translation>Zeilen</translation>
    </message>
    <message>
      <source>Rows are what the reference says, columns what the map says; so it goes out as CSV too</source>
      <translation>Zeilen sind, was die Referenz sagt, Spalten, was die Karte sagt; so geht es auch als CSV hinaus</translation>
    </message>
    <message>
      <source>Rows of the table</source>
      <translation>Zeilen der Tabelle</translation>
    </message>
    <message>
      <source>Rows where…</source>
      <translation>Zeilen, wo…</translation>
    </message>
    <message>
      <source>Rows with their places</source>
      <translation>Zeilen mit ihren Orten</translation>
    </message>
    <message>
      <source>Rows with their places…</source>
      <translation>Zeilen mit ihren Orten…</translation>
    </message>
    <message>
      <source>Rows {} and {} would both be kept in “{}”; give them ids of their own.</source>
      <translation>Die Zeilen {} und {} würden beide in „{}“ aufbewahrt; geben Sie ihnen eigene ids.</translation>
    </message>
    <message>
      <source>Rows: what the map says. Columns: what the reference says, the same labels for both. </source>
      <translation>Zeilen: was die Karte sagt. Spalten: was die Referenz sagt, dieselben Angaben für beide. </translation>
    </message>
    <message>
      <source>Rows: what the map says. Columns: what the reference says.</source>
      <translation>Zeilen: was die Karte sagt. Spalten: was die Referenz sagt.</translation>
    </message>
    <message>
      <source>Rows: what the reference says. Columns: what the map says.</source>
      <translation>Zeilen: was die Referenz sagt. Spalten: was die Karte sagt.</translation>
    </message>
    <message>
      <source>Rule %1</source>
      <translation>Regel %1</translation>
    </message>
    <message>
      <source>Rules</source>
      <translation>Regeln</translation>
    </message>
    <message>
      <source>S3 snow index</source>
      <translation>S3-Schneeindex</translation>
    </message>
    <message>
      <source>STAC catalogues (*.json)</source>
      <translation>STAC-Kataloge (*.json)</translation>
    </message>
    <message>
      <source>Saito and Yamazaki 1999</source>
      <translation>Saito und Yamazaki 1999</translation>
    </message>
    <message>
      <source>Sampling</source>
      <translation>Stichprobe</translation>
    </message>
    <message>
      <source>Save a copy</source>
      <translation>Eine Kopie speichern</translation>
    </message>
    <message>
      <source>Save a copy as</source>
      <translation>Eine Kopie speichern als</translation>
    </message>
    <message>
      <source>Save a copy as…</source>
      <translation>Eine Kopie speichern als…</translation>
    </message>
    <message>
      <source>Save a copy of the study</source>
      <translation>Eine Kopie der Studie speichern</translation>
    </message>
    <message>
      <source>Save a copy…</source>
      <translation>Eine Kopie speichern…</translation>
    </message>
    <message>
      <source>Save legend…</source>
      <translation>Legende speichern…</translation>
    </message>
    <message>
      <source>Save signatures…</source>
      <translation>Signaturen speichern…</translation>
    </message>
    <message>
      <source>Save the legend</source>
      <translation>Die Legende speichern</translation>
    </message>
    <message>
      <source>Save the model</source>
      <translation>Das Modell speichern</translation>
    </message>
    <message>
      <source>Save the model…</source>
      <translation>Das Modell speichern…</translation>
    </message>
    <message>
      <source>Save the signatures</source>
      <translation>Die Signaturen speichern</translation>
    </message>
    <message>
      <source>Say by which columns the rows are put together.</source>
      <translation>Sagen Sie, nach welchen Spalten die Zeilen zusammengefasst werden.</translation>
    </message>
    <message>
      <source>Say by which columns the rows belong together, or by which relation of places.</source>
      <translation>Sagen Sie, nach welchen Spalten die Zeilen zusammengehören, oder nach welcher Beziehung der Orte.</translation>
    </message>
    <message>
      <source>Say by which columns the tables are joined.</source>
      <translation>Sagen Sie, nach welchen Spalten die Tabellen verbunden werden.</translation>
    </message>
    <message>
      <source>Say how far the points are from each other, or how many along each side.</source>
      <translation>Sagen Sie, wie weit die Punkte voneinander sind, oder wie viele entlang jeder Seite.</translation>
    </message>
    <message>
      <source>Say how far the points are from each other.</source>
      <translation>Sagen Sie, wie weit die Punkte voneinander sind.</translation>
    </message>
    <message>
      <source>Say how large the blocks are.</source>
      <translation>Sagen Sie, wie groß die Blöcke sind.</translation>
    </message>
    <message>
      <source>Say how large the cells are, or how many.</source>
      <translation>Sagen Sie, wie groß die Zellen sind, oder wie viele.</translation>
    </message>
    <message>
      <source>Say how large the cells are.</source>
      <translation>Sagen Sie, wie groß die Zellen sind.</translation>
    </message>
    <message>
      <source>Say how many points each class gets.</source>
      <translation>Sagen Sie, wie viele Punkte jede Klasse bekommt.</translation>
    </message>
    <message>
      <source>Say in which columns the coordinates are, and in which system.</source>
      <translation>Sagen Sie, in welchen Spalten die Koordinaten stehen und in welchem System.</translation>
    </message>
    <message>
      <source>Say in which outline or in which cells.</source>
      <translation>Sagen Sie, in welchem Umriss oder in welchen Zellen.</translation>
    </message>
    <message>
      <source>Say in which reference system the coordinates of “%1” are.</source>
      <translation>Sagen Sie, in welchem Bezugssystem die Koordinaten von „%1“ sind.</translation>
    </message>
    <message>
      <source>Say in which two columns of “%1” the coordinates are.</source>
      <translation>Sagen Sie, in welchen zwei Spalten von „%1“ die Koordinaten stehen.</translation>
    </message>
    <message>
      <source>Say what comes in, and under which name.</source>
      <translation>Sagen Sie, was hereinkommt und unter welchem Namen.</translation>
    </message>
    <message>
      <source>Say what is at each point without seeing the map, then confront your labels with it.</source>
      <translation>Sagen Sie, was an jedem Punkt ist, ohne die Karte zu sehen, und stellen Sie dann Ihre Angaben neben sie.</translation>
    </message>
    <message>
      <source>Say whether the values of “%1” are power or decibels first.</source>
      <translation>Sagen Sie zuerst, ob die Werte von „%1“ Leistung oder Dezibel sind.</translation>
    </message>
    <message>
      <source>Say which statistics to tell of the zones.</source>
      <translation>Sagen Sie, welche Statistiken der Zonen gebraucht werden.</translation>
    </message>
    <message>
      <source>Say whose features are read; this step names no scene.</source>
      <translation>Sagen Sie, wessen Merkmale abgelesen werden; dieser Schritt nennt keine Szene.</translation>
    </message>
    <message>
      <source>Scale</source>
      <translation>Maßstab</translation>
    </message>
    <message>
      <source>Scale and offset have to be finite numbers; write others.</source>
      <translation>Maßstab und Versatz müssen endliche Zahlen sein; schreiben Sie andere.</translation>
    </message>
    <message>
      <source>Scale: theirs is {} times ours; it may be stored as scaled whole numbers.</source>
      <translation>Maßstab: ihres ist {} mal unseres; vielleicht als skalierte ganze Zahlen gespeichert.</translation>
    </message>
    <message>
      <source>Scene this desk works on</source>
      <translation>Szene, an der dieses Pult arbeitet</translation>
    </message>
    <message>
      <source>Scenes</source>
      <translation>Szenen</translation>
    </message>
    <message>
      <source>Scenes and what you make of them stand here.</source>
      <translation>Szenen und was Sie daraus machen, stehen hier.</translation>
    </message>
    <message>
      <source>Scenes by date</source>
      <translation>Szenen nach Datum</translation>
    </message>
    <message>
      <source>Scenes of the archive</source>
      <translation>Szenen des Archivs</translation>
    </message>
    <message>
      <source>Search a catalogue and fetch scenes</source>
      <translation>Einen Katalog durchsuchen und Szenen holen</translation>
    </message>
    <message>
      <source>Search a catalogue and fetch scenes into the study.</source>
      <translation>Durchsuchen Sie einen Katalog, und holen Sie Szenen in die Studie.</translation>
    </message>
    <message>
      <source>Search the archive</source>
      <translation>Das Archiv durchsuchen</translation>
    </message>
    <message>
      <source>Search the index book</source>
      <translation>Das Indexbuch durchsuchen</translation>
    </message>
    <message>
      <source>Search: a name, a use, a band, an author</source>
      <translation>Suche: ein Name, ein Zweck, ein Band, ein Autor</translation>
    </message>
    <message>
      <source>Season</source>
      <translation>Saison</translation>
    </message>
    <message>
      <source>Season at the point</source>
      <translation>Jahresgang am Punkt</translation>
    </message>
    <message numerus="yes">
      <source>Season of %1, %n dates</source>
      <comment>Season of %1, %n date</comment>
      <translation>
        <numerusform>Saison von %1, %n Datum</numerusform>
        <numerusform>Saison von %1, %n Daten</numerusform>
      </translation>
    </message>
    <message>
      <source>Second labeller</source>
      <translation>Zweite Person</translation>
    </message>
    <message>
      <source>Sediment brightens red before green. Only inside water: on land it shows the redness of soil. Shallow bright ground looks turbid.</source>
      <translation>Sediment hellt Rot vor Grün auf. Nur innerhalb von Wasser: an Land zeigt er die Röte des Bodens. Flacher heller Grund wirkt trüb.</translation>
    </message>
    <message>
      <source>See the matrix</source>
      <translation>Die Matrix sehen</translation>
    </message>
    <message>
      <source>Seed</source>
      <translation>Startwert</translation>
    </message>
    <message>
      <source>Segal 1982</source>
      <translation>Segal 1982</translation>
    </message>
    <message>
      <source>Segments</source>
      <translation>Segmente</translation>
    </message>
    <message>
      <source>Segments of %1</source>
      <translation>Segmente von %1</translation>
    </message>
    <message>
      <source>Sensor preset</source>
      <translation>Sensor-Voreinstellung</translation>
    </message>
    <message>
      <source>Sensor, place</source>
      <translation>Sensor, Ort</translation>
    </message>
    <message>
      <source>Sentinel-1 SAR, VV and VH, backscatter in decibels</source>
      <translation>Sentinel-1 SAR, VV und VH, Rückstreuung in Dezibel</translation>
    </message>
    <message>
      <source>Sentinel-1 SAR, VV and VH, backscatter in power</source>
      <translation>Sentinel-1 SAR, VV und VH, Rückstreuung in Leistung</translation>
    </message>
    <message>
      <source>Sentinel-2 MSI, 10 bands of 10 and 20 m, since 2022</source>
      <translation>Sentinel-2 MSI, 10 Bänder von 10 und 20 m, seit 2022</translation>
    </message>
    <message>
      <source>Sentinel-2 MSI, 12 bands, surface reflectance</source>
      <translation>Sentinel-2 MSI, 12 Bänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>Sentinel-2 MSI, 12 bands, surface reflectance, since 2022</source>
      <translation>Sentinel-2 MSI, 12 Bänder, Bodenreflexion, seit 2022</translation>
    </message>
    <message>
      <source>Sentinel-2 MSI, 13 bands, top of atmosphere, since 2022</source>
      <translation>Sentinel-2 MSI, 13 Bänder, Oberrand der Atmosphäre, seit 2022</translation>
    </message>
    <message>
      <source>Sentinel-2 MSI, 4 bands of 10 m, since 2022</source>
      <translation>Sentinel-2 MSI, 4 Bänder von 10 m, seit 2022</translation>
    </message>
    <message>
      <source>Sentinel-2 cloud mask band (bits)</source>
      <translation>Sentinel-2-Wolkenmaskenband (Bits)</translation>
    </message>
    <message>
      <source>Sentinel-2 scene classification (values)</source>
      <translation>Sentinel-2-Szenenklassifikation (Werte)</translation>
    </message>
    <message>
      <source>Separator</source>
      <translation>Trennzeichen</translation>
    </message>
    <message>
      <source>Set</source>
      <translation>Setzen</translation>
    </message>
    <message>
      <source>Set aside</source>
      <translation>Ausnehmen</translation>
    </message>
    <message>
      <source>Set pixels aside</source>
      <translation>Pixel ausnehmen</translation>
    </message>
    <message numerus="yes">
      <source>Settle the %1 that differ, one by one</source>
      <comment>Settle the one that differs</comment>
      <translation>
        <numerusform>Den einen verschiedenen entscheiden</numerusform>
        <numerusform>Die %1 verschiedenen einzeln entscheiden</numerusform>
      </translation>
    </message>
    <message>
      <source>Several of it</source>
      <translation>Mehrere davon</translation>
    </message>
    <message>
      <source>Share right against confidence</source>
      <translation>Anteil richtig gegen Sicherheit</translation>
    </message>
    <message>
      <source>Share right by group</source>
      <translation>Anteil richtig nach Gruppe</translation>
    </message>
    <message>
      <source>Shared out</source>
      <translation>Aufgeteilt</translation>
    </message>
    <message>
      <source>Shares</source>
      <translation>Anteile</translation>
    </message>
    <message>
      <source>Shares of</source>
      <translation>Anteile von</translation>
    </message>
    <message>
      <source>Shares of %1</source>
      <translation>Anteile von %1</translation>
    </message>
    <message>
      <source>Shares of classes</source>
      <translation>Anteile der Klassen</translation>
    </message>
    <message>
      <source>Shares of the rows; at the right those of the last bar.</source>
      <translation>Anteile an den Zeilen; rechts die des letzten Balkens.</translation>
    </message>
    <message>
      <source>Sharing a pixel</source>
      <translation>Teilen ein Pixel</translation>
    </message>
    <message>
      <source>Sharp band</source>
      <translation>Scharfes Band</translation>
    </message>
    <message>
      <source>Sharpen</source>
      <translation>Schärfen</translation>
    </message>
    <message>
      <source>Sharpened for looking</source>
      <translation>Zum Ansehen geschärft</translation>
    </message>
    <message>
      <source>Shift: theirs lies {:.2f} pixels right and {:.2f} down of ours.</source>
      <translation>Verschiebung: ihres liegt {:.2f} Pixel rechts und {:.2f} unter unserem.</translation>
    </message>
    <message>
      <source>Short-wave against near infrared. Roofs and roads are above 0, growth below. Bare dry soil is as high as roofs: use it together with a vegetation index.</source>
      <translation>Kurzwelliges gegen nahes Infrarot. Dächer und Straßen liegen über 0, Bewuchs darunter. Offener trockener Boden ist so hoch wie Dächer: verwenden Sie ihn zusammen mit einem Vegetationsindex.</translation>
    </message>
    <message>
      <source>Short-wave infrared against growth and water together. Keeps wet mud out better than the single indices. Bare soil stays.</source>
      <translation>Kurzwelliges Infrarot gegen Bewuchs und Wasser zusammen. Hält nassen Schlick besser fern als die einzelnen Indizes. Offener Boden bleibt.</translation>
    </message>
    <message>
      <source>Short-wave infrared and red, which dry soil reflects, against near infrared and blue. Bare fields and sand are above 0, closed growth below. Dry litter and reed look like soil.</source>
      <translation>Kurzwelliges Infrarot und Rot, die trockener Boden reflektiert, gegen nahes Infrarot und Blau. Offene Felder und Sand liegen über 0, geschlossener Bewuchs darunter. Trockene Streu und Schilf sehen wie Boden aus.</translation>
    </message>
    <message>
      <source>Short-wave to near infrared: 0.4 over wet leaves, 1 and more over dry growth and soil. Falls again over water, which it does not describe.</source>
      <translation>Kurzwelliges zu nahem Infrarot: 0,4 über nassen Blättern, 1 und mehr über trockenem Bewuchs und Boden. Fällt wieder über Wasser, das er nicht beschreibt.</translation>
    </message>
    <message numerus="yes">
      <source>Show %n hidden columns</source>
      <comment>Show %n hidden column</comment>
      <translation>
        <numerusform>%n verborgene Spalte zeigen</numerusform>
        <numerusform>%n verborgene Spalten zeigen</numerusform>
      </translation>
    </message>
    <message>
      <source>Show all classes</source>
      <translation>Alle Klassen zeigen</translation>
    </message>
    <message>
      <source>Show all columns</source>
      <translation>Alle Spalten zeigen</translation>
    </message>
    <message>
      <source>Show all points</source>
      <translation>Alle Punkte zeigen</translation>
    </message>
    <message>
      <source>Show all rows</source>
      <translation>Alle Zeilen zeigen</translation>
    </message>
    <message>
      <source>Show behind</source>
      <translation>Hinten zeigen</translation>
    </message>
    <message>
      <source>Show in front</source>
      <translation>Vorn zeigen</translation>
    </message>
    <message>
      <source>Show on the map</source>
      <translation>Auf der Karte zeigen</translation>
    </message>
    <message>
      <source>Show rows where %1</source>
      <translation>Zeilen zeigen, wo %1</translation>
    </message>
    <message numerus="yes">
      <source>Show the %n points</source>
      <comment>Show the %n point</comment>
      <translation>
        <numerusform>Den %n Punkt zeigen</numerusform>
        <numerusform>Die %n Punkte zeigen</numerusform>
      </translation>
    </message>
    <message>
      <source>Shows in the view what the map would be, while one chooses</source>
      <translation>Zeigt in der Ansicht, was die Karte wäre, während man wählt</translation>
    </message>
    <message>
      <source>Side</source>
      <translation>Seite</translation>
    </message>
    <message>
      <source>Side by side</source>
      <translation>Nebeneinander</translation>
    </message>
    <message>
      <source>Side by side: back picture left, front picture right (V)</source>
      <translation>Nebeneinander: hinteres Bild links, vorderes Bild rechts (V)</translation>
    </message>
    <message>
      <source>Side of a block</source>
      <translation>Seite eines Blocks</translation>
    </message>
    <message>
      <source>Sign: theirs falls where ours rises; the bands may be swapped.</source>
      <translation>Vorzeichen: ihres fällt, wo unseres steigt; die Bänder sind vielleicht vertauscht.</translation>
    </message>
    <message>
      <source>Signature curves</source>
      <translation>Signaturkurven</translation>
    </message>
    <message>
      <source>Signatures</source>
      <translation>Signaturen</translation>
    </message>
    <message>
      <source>Signatures (*.json)</source>
      <translation>Signaturen (*.json)</translation>
    </message>
    <message>
      <source>Signatures (*.json);;All files (*)</source>
      <translation>Signaturen (*.json);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Signatures of a set of areas, or of a file, laid over these</source>
      <translation>Signaturen eines Satzes von Gebieten oder einer Datei, über diese gelegt</translation>
    </message>
    <message>
      <source>Signatures: %1</source>
      <translation>Signaturen: %1</translation>
    </message>
    <message>
      <source>Silty</source>
      <translation>Trüb</translation>
    </message>
    <message>
      <source>Simple ratio</source>
      <translation>Einfaches Verhältnis</translation>
    </message>
    <message>
      <source>Single pixels and small patches go to what is around them.</source>
      <translation>Einzelne Pixel und kleine Flächen gehen an das, was um sie ist.</translation>
    </message>
    <message>
      <source>Size</source>
      <translation>Größe</translation>
    </message>
    <message>
      <source>Skip this step</source>
      <translation>Diesen Schritt überspringen</translation>
    </message>
    <message>
      <source>Slope and aspect</source>
      <translation>Neigung und Ausrichtung</translation>
    </message>
    <message>
      <source>Slope needs a grid in metres or feet; “{}” lies on none.</source>
      <translation>Neigung braucht ein Gitter in Metern oder Fuß; „{}“ liegt auf keinem.</translation>
    </message>
    <message>
      <source>Slopes need a grid in metres or feet; “{}” lies on none.</source>
      <translation>Neigungen brauchen ein Gitter in Metern oder Fuß; „{}“ liegt auf keinem.</translation>
    </message>
    <message>
      <source>Slopes that face the sun are made as bright as level ground, by a layer of heights in metres (Teillet et al. 1982): by the cosine alone, or with a constant for each band, which does not overdo it where light is low.</source>
      <translation>Hänge, die zur Sonne schauen, werden so hell wie ebener Grund gemacht, durch eine Ebene von Höhen in Metern (Teillet et al. 1982): nur mit dem Kosinus, oder mit einer Konstante je Band, die es bei wenig Licht nicht übertreibt.</translation>
    </message>
    <message>
      <source>Smallest</source>
      <translation>Kleinste</translation>
    </message>
    <message>
      <source>Smallest group, %</source>
      <translation>Kleinste Gruppe, %</translation>
    </message>
    <message>
      <source>Smallest patch, pixels</source>
      <translation>Kleinste Fläche, Pixel</translation>
    </message>
    <message>
      <source>Smallest spacing</source>
      <translation>Kleinster Abstand</translation>
    </message>
    <message>
      <source>Smith et al. 2007</source>
      <translation>Smith et al. 2007</translation>
    </message>
    <message>
      <source>Smoothing</source>
      <translation>Glättung</translation>
    </message>
    <message>
      <source>Snow</source>
      <translation>Schnee</translation>
    </message>
    <message>
      <source>Snow is bright in green and black in short-wave infrared, clouds are bright in both. Water is high too: ask for near infrared above 0.11 as well. The same bands as the short-wave water index.</source>
      <translation>Schnee ist im Grün hell und im kurzwelligen Infrarot schwarz, Wolken sind in beidem hell. Wasser ist auch hoch: verlangen Sie zusätzlich nahes Infrarot über 0,11. Dieselben Bänder wie der kurzwellige Wasserindex.</translation>
    </message>
    <message>
      <source>Snow, also under trees</source>
      <translation>Schnee, auch unter Bäumen</translation>
    </message>
    <message>
      <source>So many of its pixels were right. Shows the area in the view.</source>
      <translation>So viele seiner Pixel waren richtig. Zeigt das Gebiet in der Ansicht.</translation>
    </message>
    <message>
      <source>So the points are counted one by one and not weighted by area. </source>
      <translation>Daher werden die Punkte einzeln gezählt und nicht nach Fläche gewichtet. </translation>
    </message>
    <message>
      <source>Soil brightness</source>
      <translation>Bodenhelligkeit</translation>
    </message>
    <message>
      <source>Soil redness</source>
      <translation>Bodenröte</translation>
    </message>
    <message>
      <source>Soil-adjusted vegetation index</source>
      <translation>Bodenbereinigter Vegetationsindex</translation>
    </message>
    <message>
      <source>Some are nearer to each other than a pixel of %1 %2 is wide.</source>
      <translation>Einige sind einander näher, als ein Pixel von %1 %2 breit ist.</translation>
    </message>
    <message>
      <source>Some classes count as one: overall accuracy %1 % instead of %2 %.</source>
      <translation>Einige Klassen zählen als eine: Gesamtgenauigkeit %1 % statt %2 %.</translation>
    </message>
    <message>
      <source>Some of the points have no place in {}; choose another system.</source>
      <translation>Einige der Punkte haben keinen Ort in {}; wählen Sie ein anderes System.</translation>
    </message>
    <message>
      <source>Some squares are drawn first, then points in them: less way between them</source>
      <translation>Zuerst werden einige Quadrate gezogen, dann Punkte darin: weniger Weg dazwischen</translation>
    </message>
    <message>
      <source>Source</source>
      <translation>Quelle</translation>
    </message>
    <message>
      <source>Source: %1</source>
      <translation>Quelle: %1</translation>
    </message>
    <message>
      <source>Space</source>
      <translation>Leertaste</translation>
    </message>
    <message>
      <source>Spacing</source>
      <translation>Abstand</translation>
    </message>
    <message>
      <source>Speckle filtered</source>
      <translation>Speckle gefiltert</translation>
    </message>
    <message>
      <source>Spectral angle</source>
      <translation>Spektralwinkel</translation>
    </message>
    <message>
      <source>Split %1 in two</source>
      <translation>%1 in zwei teilen</translation>
    </message>
    <message>
      <source>Split above</source>
      <translation>Teilen über</translation>
    </message>
    <message>
      <source>Split in two</source>
      <translation>In zwei teilen</translation>
    </message>
    <message>
      <source>Split in two…</source>
      <translation>In zwei teilen…</translation>
    </message>
    <message>
      <source>Spread and separation against the number of clusters</source>
      <translation>Streuung und Trennung gegen die Zahl der Cluster</translation>
    </message>
    <message>
      <source>Square</source>
      <translation>Quadrat</translation>
    </message>
    <message>
      <source>Squares</source>
      <translation>Quadrate</translation>
    </message>
    <message>
      <source>Squaring near infrared makes the relation to leaf area straighter for many canopies. Needs true reflectance; dark soil reads very low.</source>
      <translation>Das Quadrat des nahen Infrarots macht den Zusammenhang mit der Blattfläche für viele Bestände gerader. Braucht echte Reflexion; dunkler Boden liest sich sehr niedrig.</translation>
    </message>
    <message numerus="yes">
      <source>Stack of %n bands</source>
      <comment>Stack of %n band</comment>
      <translation>
        <numerusform>Stapel aus %n Band</numerusform>
        <numerusform>Stapel aus %n Bändern</numerusform>
      </translation>
    </message>
    <message>
      <source>Stack the bands</source>
      <translation>Die Bänder stapeln</translation>
    </message>
    <message>
      <source>Stack the season</source>
      <translation>Die Saison stapeln</translation>
    </message>
    <message>
      <source>Stages</source>
      <translation>Stufen</translation>
    </message>
    <message>
      <source>Staggered</source>
      <translation>Versetzt</translation>
    </message>
    <message>
      <source>Stands for</source>
      <translation>Steht für</translation>
    </message>
    <message>
      <source>Start another labelling…</source>
      <translation>Eine andere Bestimmung beginnen…</translation>
    </message>
    <message>
      <source>Start labelling</source>
      <translation>Bestimmung beginnen</translation>
    </message>
    <message>
      <source>Starting band</source>
      <translation>Ausgangsband</translation>
    </message>
    <message>
      <source>Stathakis, Perakis and Savin 2012</source>
      <translation>Stathakis, Perakis und Savin 2012</translation>
    </message>
    <message>
      <source>Statistics</source>
      <translation>Statistiken</translation>
    </message>
    <message>
      <source>Stay</source>
      <translation>Bleiben</translation>
    </message>
    <message>
      <source>Step {} (“{}”): {}</source>
      <translation>Schritt {} („{}“): {}</translation>
    </message>
    <message>
      <source>Step {} of “{}” does not say what to do; give it a “do”.</source>
      <translation>Schritt {} von „{}“ sagt nicht, was zu tun ist; geben Sie ihm ein „do“.</translation>
    </message>
    <message>
      <source>Stop</source>
      <translation>Anhalten</translation>
    </message>
    <message>
      <source>Stop waiting</source>
      <translation>Nicht länger warten</translation>
    </message>
    <message>
      <source>Stratified</source>
      <translation>Geschichtet</translation>
    </message>
    <message>
      <source>Stratified points need a class map: make one first, or place points at random.</source>
      <translation>Geschichtete Punkte brauchen eine Klassenkarte: machen Sie zuerst eine, oder setzen Sie Punkte zufällig.</translation>
    </message>
    <message>
      <source>Study area</source>
      <translation>Untersuchungsgebiet</translation>
    </message>
    <message>
      <source>Study menu</source>
      <translation>Studienmenü</translation>
    </message>
    <message>
      <source>Subclass in</source>
      <translation>Unterklasse in</translation>
    </message>
    <message>
      <source>Subclass of an area</source>
      <translation>Unterklasse eines Gebiets</translation>
    </message>
    <message>
      <source>Subclasses</source>
      <translation>Unterklassen</translation>
    </message>
    <message>
      <source>Subclasses are trained {}; not “{}”.</source>
      <translation>Unterklassen werden {} trainiert; nicht „{}“.</translation>
    </message>
    <message>
      <source>Subtract the haze</source>
      <translation>Den Dunst abziehen</translation>
    </message>
    <message>
      <source>Such as nir / red.</source>
      <translation>Etwa nir / red.</translation>
    </message>
    <message>
      <source>Such differences come by chance, too (p = %1).</source>
      <translation>Solche Unterschiede macht auch Zufall (p = %1).</translation>
    </message>
    <message>
      <source>Such margins ask for more than {} points; allow wider ones.</source>
      <translation>Solche Spannen verlangen mehr als {} Punkte; lassen Sie weitere zu.</translation>
    </message>
    <message>
      <source>Suggest</source>
      <translation>Vorschlagen</translation>
    </message>
    <message>
      <source>Summarise layers</source>
      <translation>Ebenen zusammenfassen</translation>
    </message>
    <message>
      <source>Summary</source>
      <translation>Zusammenfassung</translation>
    </message>
    <message>
      <source>Summary of %1</source>
      <translation>Zusammenfassung von %1</translation>
    </message>
    <message>
      <source>Summary, %1</source>
      <translation>Zusammenfassung, %1</translation>
    </message>
    <message>
      <source>Summary…</source>
      <translation>Zusammenfassung…</translation>
    </message>
    <message>
      <source>Sun’s bearing, °</source>
      <translation>Richtung der Sonne, °</translation>
    </message>
    <message>
      <source>Sun’s height, °</source>
      <translation>Höhe der Sonne, °</translation>
    </message>
    <message>
      <source>Support vectors</source>
      <translation>Support-Vektoren</translation>
    </message>
    <message>
      <source>Swap front and back</source>
      <translation>Vorn und hinten tauschen</translation>
    </message>
    <message>
      <source>Swap front and back (X)</source>
      <translation>Vorn und hinten tauschen (X)</translation>
    </message>
    <message>
      <source>System</source>
      <translation>System</translation>
    </message>
    <message>
      <source>System: %1</source>
      <translation>System: %1</translation>
    </message>
    <message>
      <source>Systematic</source>
      <translation>Systematisch</translation>
    </message>
    <message>
      <source>Table</source>
      <translation>Tabelle</translation>
    </message>
    <message>
      <source>Table as CSV</source>
      <translation>Tabelle als CSV</translation>
    </message>
    <message>
      <source>Table as CSV…</source>
      <translation>Tabelle als CSV…</translation>
    </message>
    <message>
      <source>Table as shown</source>
      <translation>Tabelle wie gezeigt</translation>
    </message>
    <message>
      <source>Tables</source>
      <translation>Tabellen</translation>
    </message>
    <message>
      <source>Take %1 out of the study</source>
      <translation>%1 aus der Studie nehmen</translation>
    </message>
    <message>
      <source>Take a point out</source>
      <translation>Einen Punkt wegnehmen</translation>
    </message>
    <message>
      <source>Take all out</source>
      <translation>Alle wegnehmen</translation>
    </message>
    <message>
      <source>Take all points out</source>
      <translation>Alle Punkte wegnehmen</translation>
    </message>
    <message>
      <source>Take apart again</source>
      <translation>Wieder trennen</translation>
    </message>
    <message>
      <source>Take back drawn</source>
      <translation>Gezeichnetes zurücknehmen</translation>
    </message>
    <message>
      <source>Take out</source>
      <translation>Wegnehmen</translation>
    </message>
    <message>
      <source>Take out a correction</source>
      <translation>Eine Korrektur wegnehmen</translation>
    </message>
    <message>
      <source>Take out of the index book</source>
      <translation>Aus dem Indexbuch nehmen</translation>
    </message>
    <message>
      <source>Take out of the study</source>
      <translation>Aus der Studie nehmen</translation>
    </message>
    <message>
      <source>Take the areas of %1</source>
      <translation>Die Gebiete von %1 nehmen</translation>
    </message>
    <message>
      <source>Take the last back</source>
      <translation>Den letzten zurücknehmen</translation>
    </message>
    <message>
      <source>Take the list back</source>
      <translation>Die Liste zurücknehmen</translation>
    </message>
    <message>
      <source>Take the name of cluster %1</source>
      <translation>Den Namen des Clusters %1 nehmen</translation>
    </message>
    <message>
      <source>Take the nearest for what has no name yet</source>
      <translation>Für noch Unbenanntes das Nächste nehmen</translation>
    </message>
    <message>
      <source>Take their labels</source>
      <translation>Ihre Angaben übernehmen</translation>
    </message>
    <message>
      <source>Taken back: %1.</source>
      <translation>Zurückgenommen: %1.</translation>
    </message>
    <message>
      <source>Taken from</source>
      <translation>Genommen aus</translation>
    </message>
    <message>
      <source>Takes the class out of the legend, with its training areas (Ctrl Z brings them back)</source>
      <translation>Nimmt die Klasse mit ihren Trainingsgebieten aus der Legende (Strg Z holt sie zurück)</translation>
    </message>
    <message>
      <source>Takes the smaller part out of the training instead</source>
      <translation>Nimmt stattdessen den kleineren Teil aus dem Training</translation>
    </message>
    <message>
      <source>Tells</source>
      <translation>Sagt</translation>
    </message>
    <message>
      <source>Text size</source>
      <translation>Textgröße</translation>
    </message>
    <message>
      <source>Texts are compared by = and &lt;&gt;.</source>
      <translation>Texte werden mit = und &lt;&gt; verglichen.</translation>
    </message>
    <message>
      <source>Texture</source>
      <translation>Textur</translation>
    </message>
    <message>
      <source>That column has %1 different names; choose one that names regions.</source>
      <translation>Diese Spalte hat %1 verschiedene Namen; wählen Sie eine, die Regionen benennt.</translation>
    </message>
    <message>
      <source>That is %1 % of the area.</source>
      <translation>Das sind %1 % der Fläche.</translation>
    </message>
    <message>
      <source>That is more than chance (z = %1, p = %2).</source>
      <translation>Das ist mehr als Zufall (z = %1, p = %2).</translation>
    </message>
    <message>
      <source>That of the desktop</source>
      <translation>Die der Arbeitsfläche</translation>
    </message>
    <message numerus="yes">
      <source>The %n products in the bin will be deleted for good.</source>
      <comment>The product in the bin will be deleted for good.</comment>
      <translation>
        <numerusform>Das Ergebnis im Papierkorb wird endgültig gelöscht.</numerusform>
        <numerusform>Die %n Ergebnisse im Papierkorb werden endgültig gelöscht.</numerusform>
      </translation>
    </message>
    <message>
      <source>The Jeffries–Matusita distance of two classes runs from 0, the same, to 2, apart. Below about 1.8 a map confuses them often; a feature of another date, or areas drawn more carefully, may part them.</source>
      <translation>Der Jeffries-Matusita-Abstand zweier Klassen reicht von 0, gleich, bis 2, getrennt. Unter etwa 1,8 verwechselt eine Karte sie oft; ein Merkmal eines anderen Datums oder sorgfältiger gezeichnete Gebiete können sie trennen.</translation>
    </message>
    <message>
      <source>The PDF could not be written; free some space on the disk and try again.</source>
      <translation>Das PDF konnte nicht geschrieben werden; schaffen Sie Platz auf der Platte, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>The STAC item “{}” has no data assets; choose another.</source>
      <translation>Der STAC-Eintrag „{}“ hat keine Daten; wählen Sie einen anderen.</translation>
    </message>
    <message>
      <source>The archive broke off after {:.1f} of {:.1f} MiB. What came is kept: fetch again and it goes on from there.</source>
      <translation>Das Archiv brach nach {:.1f} von {:.1f} MiB ab. Was kam, ist aufbewahrt: holen Sie noch einmal, und es geht dort weiter.</translation>
    </message>
    <message>
      <source>The archive could not read “{}”; fetch again.</source>
      <translation>Das Archiv konnte „{}“ nicht lesen; holen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>The archive does not answer; try again later. What was fetched is in the study.</source>
      <translation>Das Archiv antwortet nicht; versuchen Sie es später noch einmal. Geholtes ist in der Studie.</translation>
    </message>
    <message>
      <source>The archive has lost “{}”; fetch another scene.</source>
      <translation>Das Archiv hat „{}“ verloren; holen Sie eine andere Szene.</translation>
    </message>
    <message>
      <source>The area of the triangle between green, red and near infrared: grows with chlorophyll and with leaf area. Needs true reflectance; units are those of the formula, not 0 to 1.</source>
      <translation>Die Fläche des Dreiecks zwischen Grün, Rot und nahem Infrarot: wächst mit Chlorophyll und Blattfläche. Braucht echte Reflexion; die Einheiten sind die der Formel, nicht 0 bis 1.</translation>
    </message>
    <message>
      <source>The areas of the classes are not known.</source>
      <translation>Die Flächen der Klassen sind nicht bekannt.</translation>
    </message>
    <message>
      <source>The assets of the STAC item “{}” are not as the standard says; check “href” and “eo:bands”.</source>
      <translation>Die Dateien des STAC-Eintrags „{}“ sind nicht, wie der Standard sagt; prüfen Sie „href“ und „eo:bands“.</translation>
    </message>
    <message>
      <source>The band that parts them best by itself</source>
      <translation>Das Band, das sie für sich am besten trennt</translation>
    </message>
    <message>
      <source>The band with the heights: its role, its number or its name.</source>
      <translation>Das Band mit den Höhen: seine Rolle, seine Nummer oder sein Name.</translation>
    </message>
    <message>
      <source>The bands of the scene in hand, or the features chosen on the mapping desk: other scenes, radar, indices, texture</source>
      <translation>Die Bänder der gewählten Szene oder die am Kartierungspult gewählten Merkmale: andere Szenen, Radar, Indizes, Textur</translation>
    </message>
    <message>
      <source>The book has an index “{}” already; take another name.</source>
      <translation>Das Buch hat schon einen Index „{}“; nehmen Sie einen anderen Namen.</translation>
    </message>
    <message>
      <source>The catalogue has more than {} items; open a part of it.</source>
      <translation>Der Katalog hat mehr als {} Einträge; öffnen Sie einen Teil davon.</translation>
    </message>
    <message>
      <source>The catalogue has more than {} levels at “{}”; open a part of it.</source>
      <translation>Der Katalog hat bei „{}“ mehr als {} Ebenen; öffnen Sie einen Teil davon.</translation>
    </message>
    <message>
      <source>The catalogue is “%1/catalog.json”; the rasters stay where they are.</source>
      <translation>Der Katalog ist „%1/catalog.json“; die Raster bleiben, wo sie sind.</translation>
    </message>
    <message>
      <source>The change “{}” of a table knows no “{}”.</source>
      <translation>Die Änderung „{}“ einer Tabelle kennt kein „{}“.</translation>
    </message>
    <message>
      <source>The change “{}” of a table lacks “{}”.</source>
      <translation>Der Änderung „{}“ einer Tabelle fehlt „{}“.</translation>
    </message>
    <message>
      <source>The chart tells how many of the pixels were right that were given with so much confidence. Below the dashed line, the map is surer than it should be.</source>
      <translation>Das Diagramm sagt, wie viele der Pixel richtig waren, die mit so viel Sicherheit vergeben wurden. Unter der gestrichelten Linie ist die Karte sicherer, als sie sein sollte.</translation>
    </message>
    <message>
      <source>The class codes of the model do not rise from 1 on; train it again.</source>
      <translation>Die Klassencodes des Modells steigen nicht von 1 an; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The class has fewer than two training pixels; there is nothing to split.</source>
      <translation>Die Klasse hat weniger als zwei Trainingspixel; es gibt nichts zu teilen.</translation>
    </message>
    <message>
      <source>The class of the chosen area</source>
      <translation>Die Klasse des gewählten Gebiets</translation>
    </message>
    <message>
      <source>The classes of the maps are being read at the points.</source>
      <translation>Die Klassen der Karten werden an den Punkten gelesen.</translation>
    </message>
    <message>
      <source>The classes of “%1” are being read; look at what they become first.</source>
      <translation>Die Klassen von „%1“ werden gelesen; sehen Sie zuerst, was aus ihnen wird.</translation>
    </message>
    <message numerus="yes">
      <source>The clipboard holds %n values.</source>
      <comment>The clipboard holds %n value.</comment>
      <translation>
        <numerusform>Die Zwischenablage enthält %n Wert.</numerusform>
        <numerusform>Die Zwischenablage enthält %n Werte.</numerusform>
      </translation>
    </message>
    <message numerus="yes">
      <source>The clipboard holds labels of %1 points.</source>
      <comment>The clipboard holds the label of %1 point.</comment>
      <translation>
        <numerusform>Die Zwischenablage enthält die Angabe zu %1 Punkt.</numerusform>
        <numerusform>Die Zwischenablage enthält Angaben zu %1 Punkten.</numerusform>
      </translation>
    </message>
    <message>
      <source>The clipboard holds no list of numbers and classes yet.</source>
      <translation>Die Zwischenablage enthält noch keine Liste mit Nummern und Klassen.</translation>
    </message>
    <message>
      <source>The clipboard holds no such list.</source>
      <translation>Die Zwischenablage enthält keine solche Liste.</translation>
    </message>
    <message>
      <source>The code {} is that of a class and of a subclass; renumber the class.</source>
      <translation>Der Code {} gehört einer Klasse und einer Unterklasse; geben Sie der Klasse einen anderen.</translation>
    </message>
    <message>
      <source>The column “scene” could stand for {}; head it “scene NAME”.</source>
      <translation>Die Spalte „scene“ könnte für {} stehen; überschreiben Sie sie mit „scene NAME“.</translation>
    </message>
    <message>
      <source>The column “{}” holds no numbers to summarise.</source>
      <translation>Die Spalte „{}“ enthält keine Zahlen zum Zusammenfassen.</translation>
    </message>
    <message>
      <source>The column “{}” holds texts; it can be compared by = and &lt;&gt; with a text in quotes.</source>
      <translation>Die Spalte „{}“ enthält Texte; sie kann mit = und &lt;&gt; mit einem Text in Anführungszeichen verglichen werden.</translation>
    </message>
    <message>
      <source>The common part has too many pixels without data to measure a shift.</source>
      <translation>Der gemeinsame Teil hat zu viele Pixel ohne Daten, um eine Verschiebung zu messen.</translation>
    </message>
    <message>
      <source>The copy could not be written ({}); choose another place.</source>
      <translation>Die Kopie konnte nicht geschrieben werden ({}); wählen Sie einen anderen Ort.</translation>
    </message>
    <message>
      <source>The copy is in “%1”.</source>
      <translation>Die Kopie liegt in „%1“.</translation>
    </message>
    <message>
      <source>The corner and the pixel size are numbers, the size above 0.</source>
      <translation>Die Ecke und die Pixelgröße sind Zahlen, die Größe über 0.</translation>
    </message>
    <message>
      <source>The data file “{}” is missing; install Zany Patch again.</source>
      <translation>Die Datei „{}“ fehlt; installieren Sie Zany Patch neu.</translation>
    </message>
    <message>
      <source>The date is not one; write year-month-day, such as 2031-07-18, or leave it empty.</source>
      <translation>Das Datum ist keines; schreiben Sie Jahr-Monat-Tag, etwa 2031-07-18, oder lassen Sie es leer.</translation>
    </message>
    <message>
      <source>The day the scene was taken: year-month-day</source>
      <translation>Der Tag, an dem die Szene aufgenommen wurde: Jahr-Monat-Tag</translation>
    </message>
    <message>
      <source>The delivery grid of the study has no pixel size.</source>
      <translation>Das Liefergitter der Studie hat keine Pixelgröße.</translation>
    </message>
    <message>
      <source>The delivery grid would have too many pixels here; choose a larger pixel.</source>
      <translation>Das Liefergitter hätte hier zu viele Pixel; wählen Sie ein größeres Pixel.</translation>
    </message>
    <message>
      <source>The demo as it was at first; the one you worked in is kept beside it</source>
      <translation>Die Demo wie zu Beginn; die, an der Sie gearbeitet haben, bleibt daneben</translation>
    </message>
    <message>
      <source>The detail of a sharper band (Brovey: Gillespie 1987; Gram–Schmidt: Laben and Brower 2000). For looking and labelling; not for classification.</source>
      <translation>Die Einzelheiten eines schärferen Bandes (Brovey: Gillespie 1987; Gram-Schmidt: Laben und Brower 2000). Zum Ansehen und Bestimmen; nicht zur Klassifikation.</translation>
    </message>
    <message>
      <source>The diagonal holds variances: how wide the class is in each band. It says nothing about peaks; for those look at the histograms.</source>
      <translation>Die Diagonale enthält Varianzen: wie weit die Klasse in jedem Band ist. Über Gipfel sagt sie nichts; dafür sehen Sie in die Histogramme.</translation>
    </message>
    <message>
      <source>The edge of zeros</source>
      <translation>Der Rand aus Nullen</translation>
    </message>
    <message>
      <source>The fields with the code, the class and the subclass were found. Take the areas over.</source>
      <translation>Die Felder mit Code, Klasse und Unterklasse sind gefunden. Übernehmen Sie die Gebiete.</translation>
    </message>
    <message>
      <source>The file of “{}” could not be moved ({}); check the study's folder.</source>
      <translation>Die Datei von „{}“ konnte nicht verschoben werden ({}); prüfen Sie den Ordner der Studie.</translation>
    </message>
    <message>
      <source>The files of {} are missing; bring them back to their place and open the study again.</source>
      <translation>Die Dateien von {} fehlen; bringen Sie sie an ihren Ort zurück, und öffnen Sie die Studie noch einmal.</translation>
    </message>
    <message>
      <source>The first rule that holds gives the class. Names: the roles of %1, and %2.</source>
      <translation>Die erste Regel, die gilt, gibt die Klasse. Namen: die Rollen von %1, und %2.</translation>
    </message>
    <message>
      <source>The first rule that holds gives the class. Names: the roles of %1, and indices you make.</source>
      <translation>Die erste Regel, die gilt, gibt die Klasse. Namen: die Rollen von %1, und Indizes, die Sie machen.</translation>
    </message>
    <message>
      <source>The folder “%1” may only be read: what you change cannot be saved. To go on with it, make a copy of it in the study menu.</source>
      <translation>Der Ordner „%1“ darf nur gelesen werden: Was Sie ändern, kann nicht gespeichert werden. Um damit weiterzuarbeiten, machen Sie im Studienmenü eine Kopie davon.</translation>
    </message>
    <message>
      <source>The folder “{}” cannot be made ({}); choose another.</source>
      <translation>Der Ordner „{}“ kann nicht angelegt werden ({}); wählen Sie einen anderen.</translation>
    </message>
    <message>
      <source>The folder “{}” does not exist; make it, or connect the disk it is on.</source>
      <translation>Den Ordner „{}“ gibt es nicht; legen Sie ihn an oder schließen Sie seinen Datenträger an.</translation>
    </message>
    <message>
      <source>The folder “{}” holds no rasters; choose one with a file a band.</source>
      <translation>Der Ordner „{}“ enthält keine Raster; wählen Sie einen mit einer Datei je Band.</translation>
    </message>
    <message>
      <source>The folder “{}” is read-only; choose one you may write to.</source>
      <translation>Der Ordner „{}“ ist nur lesbar; wählen Sie einen, in den Sie schreiben dürfen.</translation>
    </message>
    <message>
      <source>The forest of the model does not tell its features; train it again.</source>
      <translation>Der Wald des Modells nennt seine Merkmale nicht; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The forest of the model has no tree; train it again.</source>
      <translation>Der Wald des Modells hat keinen Baum; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The forest of the model has {} features, which cannot be; train it again.</source>
      <translation>Der Wald des Modells hat {} Merkmale, was nicht sein kann; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The formula ends too early; something is missing here.</source>
      <translation>Die Formel endet zu früh; hier fehlt etwas.</translation>
    </message>
    <message>
      <source>The formula is empty; write one, such as (nir - red) / (nir + red).</source>
      <translation>Die Formel ist leer; schreiben Sie eine, etwa (nir - red) / (nir + red).</translation>
    </message>
    <message>
      <source>The formula is longer than {} characters; split it into several.</source>
      <translation>Die Formel ist länger als {} Zeichen; teilen Sie sie auf.</translation>
    </message>
    <message>
      <source>The formula is nested deeper than {} levels here; split it into several.</source>
      <translation>Die Formel ist hier tiefer als {} Ebenen verschachtelt; teilen Sie sie auf.</translation>
    </message>
    <message>
      <source>The greenest pixel needs bands nir and red in every scene; give them their roles.</source>
      <translation>Das grünste Pixel braucht in jeder Szene die Bänder nir und red; geben Sie ihnen ihre Rollen.</translation>
    </message>
    <message>
      <source>The grey levels of a texture go from low to high; {} is not below {}.</source>
      <translation>Die Grauwerte einer Textur gehen von niedrig nach hoch; {} liegt nicht unter {}.</translation>
    </message>
    <message>
      <source>The groups are found from a draw of the pixels, and all pixels are then put into the nearest; or from all of them, which takes a reading of the scene for every pass.</source>
      <translation>Die Gruppen werden an einer Ziehung der Pixel gefunden und dann alle Pixel in die nächste gelegt; oder an allen, was für jeden Durchgang die Szene liest.</translation>
    </message>
    <message>
      <source>The groups differ by more than chance would make them (p %1).</source>
      <translation>Die Gruppen unterscheiden sich mehr, als Zufall sie machen würde (p %1).</translation>
    </message>
    <message>
      <source>The histogram has one peak only, so it has no valley; set the threshold by hand.</source>
      <translation>Das Histogramm hat nur einen Gipfel und daher kein Tal; setzen Sie den Schwellenwert von Hand.</translation>
    </message>
    <message>
      <source>The index book has many more under the search above. Choose this one.</source>
      <translation>Das Indexbuch hat viele weitere, unter der Suche. Wählen Sie diesen.</translation>
    </message>
    <message>
      <source>The index has no name; write one.</source>
      <translation>Der Index hat keinen Namen; schreiben Sie einen.</translation>
    </message>
    <message>
      <source>The index in hand of the later scene less that of the earlier one. Cut it by a threshold afterwards, as any index.</source>
      <translation>Der gewählte Index der späteren Szene minus den der früheren. Teilen Sie ihn danach durch einen Schwellenwert, wie jeden Index.</translation>
    </message>
    <message>
      <source>The index in hand with its thresholds over each ticked scene: a table and a curve of area against date.</source>
      <translation>Der gewählte Index mit seinen Schwellenwerten über jede angekreuzte Szene: eine Tabelle und eine Kurve der Fläche gegen das Datum.</translation>
    </message>
    <message>
      <source>The interval holds 0, so it may be chance.</source>
      <translation>Das Intervall enthält 0; es kann also Zufall sein.</translation>
    </message>
    <message>
      <source>The labelling of “{}” is not closed; close it first, then it can be reported.</source>
      <translation>Die Bestimmung von „{}“ ist nicht abgeschlossen; schließen Sie sie zuerst ab, dann kann berichtet werden.</translation>
    </message>
    <message>
      <source>The labels are as they were before.</source>
      <translation>Die Angaben sind wie vorher.</translation>
    </message>
    <message>
      <source>The labels given are not complete; leave them out, or take the record anew.</source>
      <translation>Die Angaben sind unvollständig; lassen Sie sie weg, oder nehmen Sie das Protokoll neu.</translation>
    </message>
    <message>
      <source>The labels in “{}” are not complete; take a copy from before.</source>
      <translation>Die Angaben in „{}“ sind unvollständig; nehmen Sie eine frühere Kopie.</translation>
    </message>
    <message>
      <source>The layer</source>
      <translation>Die Ebene</translation>
    </message>
    <message>
      <source>The least certain area is that of %1: ± %2 % of itself.</source>
      <translation>Am wenigsten gewiss ist die Fläche von %1: ± %2 % ihrer selbst.</translation>
    </message>
    <message>
      <source>The legend could not be written to “{}”.</source>
      <translation>Die Legende konnte nicht nach „{}“ geschrieben werden.</translation>
    </message>
    <message>
      <source>The legend has a class {} already; choose another code.</source>
      <translation>Die Legende hat schon eine Klasse {}; wählen Sie einen anderen Code.</translation>
    </message>
    <message>
      <source>The legend has no class {}, which cluster {} has; choose another.</source>
      <translation>Die Legende hat keine Klasse {}, die Cluster {} hat; wählen Sie eine andere.</translation>
    </message>
    <message>
      <source>The legend has no class {}, with which {} is matched.</source>
      <translation>Die Legende hat keine Klasse {}, der {} zugeordnet ist.</translation>
    </message>
    <message>
      <source>The legend has no list “classes”; see docs/formats/legend.json.</source>
      <translation>Die Legende hat keine Liste „classes“; siehe docs/formats/legend.json.</translation>
    </message>
    <message>
      <source>The list has more than %1 lines; join it as a table.</source>
      <translation>Die Liste hat mehr als %1 Zeilen; verbinden Sie sie als Tabelle.</translation>
    </message>
    <message>
      <source>The map has more than {} classes; patches are told of fewer.</source>
      <translation>Die Karte hat mehr als {} Klassen; Flächen werden für weniger angegeben.</translation>
    </message>
    <message>
      <source>The map has no class there; click on a patch.</source>
      <translation>Die Karte hat dort keine Klasse; klicken Sie auf eine Fläche.</translation>
    </message>
    <message>
      <source>The map is in “%1”.</source>
      <translation>Die Karte liegt in „%1“.</translation>
    </message>
    <message>
      <source>The map lies on another grid than its features; make it again.</source>
      <translation>Die Karte liegt auf einem anderen Gitter als ihre Merkmale; machen Sie sie noch einmal.</translation>
    </message>
    <message>
      <source>The map so far over %1</source>
      <translation>Die bisherige Karte über %1</translation>
    </message>
    <message>
      <source>The map that was made of them stays as it is</source>
      <translation>Die daraus gemachte Karte bleibt, wie sie ist</translation>
    </message>
    <message>
      <source>The map that “{}” judges is gone.</source>
      <translation>Die Karte, die „{}“ beurteilt, ist fort.</translation>
    </message>
    <message>
      <source>The map was made by a model that was trained elsewhere; its training is not here.</source>
      <translation>Die Karte entstand aus einem anderswo trainierten Modell; dessen Training ist nicht hier.</translation>
    </message>
    <message>
      <source>The map whose classes are kept is gone; choose another.</source>
      <translation>Die Karte, deren Klassen behalten werden, ist fort; wählen Sie eine andere.</translation>
    </message>
    <message>
      <source>The maps lie too far apart to be one; choose adjoining ones.</source>
      <translation>Die Karten liegen zu weit auseinander, um eine zu sein; wählen Sie angrenzende.</translation>
    </message>
    <message>
      <source>The mask of “{}” is damaged near row {}; copy it again from its source.</source>
      <translation>Die Maske von „{}“ ist nahe Zeile {} beschädigt; kopieren Sie sie neu von ihrer Quelle.</translation>
    </message>
    <message>
      <source>The mask of “{}” is not of its size any more; make it again.</source>
      <translation>Die Maske von „{}“ hat nicht mehr seine Größe; machen Sie sie noch einmal.</translation>
    </message>
    <message>
      <source>The matrix</source>
      <translation>Die Matrix</translation>
    </message>
    <message>
      <source>The matrix as text</source>
      <translation>Die Matrix als Text</translation>
    </message>
    <message>
      <source>The matrix is in “%1”.</source>
      <translation>Die Matrix liegt in „%1“.</translation>
    </message>
    <message>
      <source>The matrix sets what the map says against what you said, with the accuracies and areas that follow, each with its interval.</source>
      <translation>Die Matrix stellt, was die Karte sagt, gegen das, was Sie sagten, mit den Genauigkeiten und Flächen, die daraus folgen, jede mit ihrem Intervall.</translation>
    </message>
    <message>
      <source>The mean of the bands of a scene: how light a pixel is, whatever its colour.</source>
      <translation>Das Mittel der Bänder einer Szene: wie hell ein Pixel ist, gleich welcher Farbe.</translation>
    </message>
    <message>
      <source>The mean of “{}” is 0 in every feature and has no direction; redraw it.</source>
      <translation>Das Mittel von „{}“ ist in jedem Merkmal 0 und hat keine Richtung; zeichnen Sie es neu.</translation>
    </message>
    <message>
      <source>The mean or the spread of a band around each pixel. Radar is averaged as power and told in decibels, which quiets its speckle.</source>
      <translation>Das Mittel oder die Streuung eines Bandes um jedes Pixel. Radar wird als Leistung gemittelt und in Dezibel angegeben, was seinen Speckle beruhigt.</translation>
    </message>
    <message>
      <source>The mean, or the spread, of the pixels around.</source>
      <translation>Das Mittel oder die Streuung der Pixel ringsum.</translation>
    </message>
    <message>
      <source>The model has a class code that is none; train it again.</source>
      <translation>Das Modell hat einen Klassencode, der keiner ist; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The model is in “%1”.</source>
      <translation>Das Modell liegt in „%1“.</translation>
    </message>
    <message>
      <source>The model “{}” has no legend entry for class {}; train it again.</source>
      <translation>Das Modell „{}“ hat für Klasse {} keinen Eintrag in der Legende; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The model “{}” is not complete; train it again.</source>
      <translation>Das Modell „{}“ ist unvollständig; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The model “{}” names {} features but was trained on {}; train it again.</source>
      <translation>Das Modell „{}“ nennt {} Merkmale, wurde aber an {} trainiert; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The most frequent class, in class maps</source>
      <translation>Die häufigste Klasse, in Klassenkarten</translation>
    </message>
    <message>
      <source>The name “{}” is no UTF-8, so that it cannot be written down; rename the file or its folder.</source>
      <translation>Der Name „{}“ ist kein UTF-8 und lässt sich deshalb nicht aufschreiben; benennen Sie die Datei oder ihren Ordner um.</translation>
    </message>
    <message>
      <source>The names of the scenes that count, parted by spaces.</source>
      <translation>Die Namen der Szenen, die zählen, durch Leerzeichen getrennt.</translation>
    </message>
    <message>
      <source>The nearest two are %1 %2 apart.</source>
      <translation>Die nächsten zwei liegen %1 %2 auseinander.</translation>
    </message>
    <message>
      <source>The newest %1 scenes; ask for less to see older ones.</source>
      <translation>Die neuesten %1 Szenen; verlangen Sie weniger, um ältere zu sehen.</translation>
    </message>
    <message>
      <source>The no-data value is not a number; write one such as 0 or -9999, or leave it empty.</source>
      <translation>Der Wert für keine Daten ist keine Zahl; schreiben Sie eine wie 0 oder -9999, oder lassen Sie es leer.</translation>
    </message>
    <message>
      <source>The number of looks has to be above 0; write one such as 4.4.</source>
      <translation>Die Zahl der Looks muss über 0 liegen; schreiben Sie eine wie 4.4.</translation>
    </message>
    <message>
      <source>The offset is not a number; write one such as 0 or -0.1.</source>
      <translation>Der Versatz ist keine Zahl; schreiben Sie eine wie 0 oder -0.1.</translation>
    </message>
    <message>
      <source>The oldest of them: about 1 over soil, 5 to 25 over growth. Stretches dense growth apart, but becomes unsteady where red is near 0.</source>
      <translation>Der älteste von ihnen: etwa 1 über Boden, 5 bis 25 über Bewuchs. Zieht dichten Bewuchs auseinander, wird aber unstet, wo Rot nahe 0 ist.</translation>
    </message>
    <message>
      <source>The other layer has no polygons; ask for the nearest, or give polygons.</source>
      <translation>Die andere Ebene hat keine Polygone; fragen Sie nach dem Nächsten, oder geben Sie Polygone an.</translation>
    </message>
    <message>
      <source>The outline of this step is gone; choose another.</source>
      <translation>Der Umriss dieses Schritts ist fort; wählen Sie einen anderen.</translation>
    </message>
    <message>
      <source>The output needs a file name.</source>
      <translation>Die Ausgabe braucht einen Dateinamen.</translation>
    </message>
    <message>
      <source>The parameters of {} are not in the form name: value.</source>
      <translation>Die Parameter von {} haben nicht die Form Name: Wert.</translation>
    </message>
    <message>
      <source>The picture could not be written; choose another folder.</source>
      <translation>Das Bild konnte nicht geschrieben werden; wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>The picture is in “%1”.</source>
      <translation>Das Bild liegt in „%1“.</translation>
    </message>
    <message>
      <source>The pixel has no values; point at one that has.</source>
      <translation>Das Pixel hat keine Werte; zeigen Sie auf eines, das welche hat.</translation>
    </message>
    <message>
      <source>The pixels of a coarse layer that have a value</source>
      <translation>Die Pixel einer groben Ebene, die einen Wert haben</translation>
    </message>
    <message>
      <source>The pixels of “{}” are not a count.</source>
      <translation>Die Pixel von „{}“ sind keine Anzahl.</translation>
    </message>
    <message>
      <source>The place lies outside the scene; point at a pixel of it.</source>
      <translation>Der Ort liegt außerhalb der Szene; zeigen Sie auf ein Pixel von ihr.</translation>
    </message>
    <message>
      <source>The place to grow from has no data; click on a pixel that has.</source>
      <translation>Der Ort zum Wachsen hat keine Daten; klicken Sie auf ein Pixel, das welche hat.</translation>
    </message>
    <message>
      <source>The place to grow from lies outside the scene; click inside it.</source>
      <translation>Der Ort zum Wachsen liegt außerhalb der Szene; klicken Sie in sie hinein.</translation>
    </message>
    <message>
      <source>The plan is shown on the view before it is made.</source>
      <translation>Der Plan ist in der Ansicht zu sehen, bevor er gemacht wird.</translation>
    </message>
    <message>
      <source>The points are in “%1”.</source>
      <translation>Die Punkte liegen in „%1“.</translation>
    </message>
    <message>
      <source>The points are none that this plan placed: its spacing, seed or area is another.</source>
      <translation>Die Punkte hat dieser Plan nicht gesetzt: Abstand, Startwert oder Gebiet sind andere.</translation>
    </message>
    <message>
      <source>The points are others than those labelled, so the labels stay as they are; start a new labelling for the new points.</source>
      <translation>Die Punkte sind andere als die bestimmten, sodass die Angaben bleiben, wie sie sind; beginnen Sie für die neuen Punkte eine neue Bestimmung.</translation>
    </message>
    <message>
      <source>The points are there. Go on to what is read at them.</source>
      <translation>Die Punkte sind da. Gehen Sie weiter zu dem, was an ihnen abgelesen wird.</translation>
    </message>
    <message>
      <source>The points come in shuffled order, and the class of the map stays hidden until you close the labelling. Then here stand the user's and producer's accuracy of each class; 30 to 50 points in each say enough. What is known already:</source>
      <translation>Die Punkte kommen in gemischter Reihenfolge, und die Klasse der Karte bleibt verborgen, bis Sie die Bestimmung abschließen. Dann stehen hier Nutzer- und Herstellergenauigkeit jeder Klasse; 30 bis 50 Punkte in jeder sagen genug. Was schon bekannt ist:</translation>
    </message>
    <message>
      <source>The points go out under their numbers, without what the map says. Copy a list of two columns, number and class (by name or code), and paste it here.</source>
      <translation>Die Punkte gehen unter ihren Nummern hinaus, ohne das, was die Karte sagt. Kopieren Sie eine Liste mit zwei Spalten, Nummer und Klasse (nach Name oder Code), und fügen Sie sie hier ein.</translation>
    </message>
    <message>
      <source>The polygons are in “%1”.</source>
      <translation>Die Polygone liegen in „%1“.</translation>
    </message>
    <message>
      <source>The polygons could not be made ({}).</source>
      <translation>Die Polygone konnten nicht gemacht werden ({}).</translation>
    </message>
    <message>
      <source>The polygons could not be shrunk ({}).</source>
      <translation>Die Polygone konnten nicht verkleinert werden ({}).</translation>
    </message>
    <message>
      <source>The polygons name no reference system, so they cannot be laid over a raster.</source>
      <translation>Die Polygone nennen kein Bezugssystem; daher können sie nicht über ein Raster gelegt werden.</translation>
    </message>
    <message>
      <source>The power of the scattering lies between 0 and 4; write 2 for clear air.</source>
      <translation>Die Potenz der Streuung liegt zwischen 0 und 4; schreiben Sie 2 für klare Luft.</translation>
    </message>
    <message>
      <source>The preset has no name; write one.</source>
      <translation>Die Voreinstellung hat keinen Namen; schreiben Sie einen.</translation>
    </message>
    <message>
      <source>The preset {} has {} bands, but “{}” has {}; set the roles band by band.</source>
      <translation>Die Voreinstellung {} hat {} Bänder, aber „{}“ hat {}; setzen Sie die Rollen Band für Band.</translation>
    </message>
    <message>
      <source>The preview follows your choices, and the figures tell how well areas that were held out are found again. Make the map.</source>
      <translation>Die Vorschau folgt jeder Wahl, und die Zahlen sagen, wie gut zurückgehaltene Gebiete wiedergefunden werden. Machen Sie die Karte.</translation>
    </message>
    <message>
      <source>The program “{}” failed: {}</source>
      <translation>Das Programm „{}“ ist gescheitert: {}</translation>
    </message>
    <message>
      <source>The quality band of this scene</source>
      <translation>Das Qualitätsband dieser Szene</translation>
    </message>
    <message>
      <source>The ramp it is shown in</source>
      <translation>Der Farbverlauf, in dem es gezeigt wird</translation>
    </message>
    <message>
      <source>The range of “{}” does not rise.</source>
      <translation>Der Bereich von „{}“ steigt nicht.</translation>
    </message>
    <message>
      <source>The raster names no reference system, so cells cannot be laid over it.</source>
      <translation>Das Raster nennt kein Bezugssystem; daher können keine Zellen darüber gelegt werden.</translation>
    </message>
    <message>
      <source>The raster names no reference system, so zones cannot be laid over it.</source>
      <translation>Das Raster nennt kein Bezugssystem; daher können keine Zonen darüber gelegt werden.</translation>
    </message>
    <message>
      <source>The rectangle is none; give its left, bottom, right and top.</source>
      <translation>Das Rechteck ist keines; geben Sie links, unten, rechts und oben an.</translation>
    </message>
    <message>
      <source>The red edge still changes when red is already black, so differences within dense crops and reed show. Lower than the plain index everywhere; thin growth hardly shows.</source>
      <translation>Die Red Edge ändert sich noch, wenn Rot schon schwarz ist; daher zeigen sich Unterschiede in dichten Feldfrüchten und Schilf. Überall niedriger als der einfache Index; dünner Bewuchs zeigt sich kaum.</translation>
    </message>
    <message>
      <source>The report is in “%1”, without a PDF: the program that lays it out, weasyprint, is not installed.</source>
      <translation>Der Bericht liegt in „%1“, ohne PDF: das Programm, das es setzt, weasyprint, ist nicht installiert.</translation>
    </message>
    <message>
      <source>The report is in “%1”.</source>
      <translation>Der Bericht liegt in „%1“.</translation>
    </message>
    <message>
      <source>The rest</source>
      <translation>Der Rest</translation>
    </message>
    <message>
      <source>The rest from</source>
      <translation>Der Rest aus</translation>
    </message>
    <message>
      <source>The result</source>
      <translation>Das Ergebnis</translation>
    </message>
    <message>
      <source>The result on the disk is not complete; free some space and try again.</source>
      <translation>Das Ergebnis auf der Platte ist unvollständig; schaffen Sie Platz, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>The rows are in the clipboard.</source>
      <translation>Die Zeilen sind in der Zwischenablage.</translation>
    </message>
    <message>
      <source>The same band of every ticked date, oldest first, as one file: a time stack on the grid of the oldest.</source>
      <translation>Dasselbe Band jedes angekreuzten Datums, ältestes zuerst, als eine Datei: ein Zeitstapel auf dem Gitter des ältesten.</translation>
    </message>
    <message>
      <source>The same ratio in decibels: 5 over woods, 10 and more over bare ground. Rough water is high.</source>
      <translation>Dasselbe Verhältnis in Dezibel: 5 über Wald, 10 und mehr über offenem Boden. Raues Wasser ist hoch.</translation>
    </message>
    <message>
      <source>The same seed draws the same, and so makes the same map.</source>
      <translation>Derselbe Startwert zieht dasselbe und macht so dieselbe Karte.</translation>
    </message>
    <message>
      <source>The scale is not a number other than 0; write one such as 0.0001.</source>
      <translation>Der Maßstab ist keine Zahl außer 0; schreiben Sie eine wie 0.0001.</translation>
    </message>
    <message>
      <source>The scale of a feature is not above 0; train again.</source>
      <translation>Der Maßstab eines Merkmals liegt nicht über 0; trainieren Sie neu.</translation>
    </message>
    <message>
      <source>The scale of the features is not complete; train again.</source>
      <translation>Der Maßstab der Merkmale ist unvollständig; trainieren Sie neu.</translation>
    </message>
    <message>
      <source>The scale of whole numbers has to be above 0; write one such as 0.0001.</source>
      <translation>Der Maßstab ganzer Zahlen muss über 0 liegen; schreiben Sie einen wie 0.0001.</translation>
    </message>
    <message>
      <source>The scale of “{}” is 0 or no number.</source>
      <translation>Der Maßstab von „{}“ ist 0 oder keine Zahl.</translation>
    </message>
    <message>
      <source>The scene has no reference system, so areas cannot be placed on it; give it one first.</source>
      <translation>Die Szene hat kein Bezugssystem; daher können keine Gebiete darauf gesetzt werden; geben Sie ihr zuerst eines.</translation>
    </message>
    <message>
      <source>The scene has no reference system, so training areas cannot be placed on it; give it one first.</source>
      <translation>Die Szene hat kein Bezugssystem; daher können keine Trainingsgebiete darauf gesetzt werden; geben Sie ihr zuerst eines.</translation>
    </message>
    <message>
      <source>The scene of this step is gone; choose another.</source>
      <translation>Die Szene dieses Schritts ist fort; wählen Sie eine andere.</translation>
    </message>
    <message>
      <source>The scene this desk works on; a click on a scene's card chooses it too</source>
      <translation>Die Szene, an der dieses Pult arbeitet; ein Klick auf das Kärtchen einer Szene wählt sie auch</translation>
    </message>
    <message>
      <source>The scene “{}” has no bands.</source>
      <translation>Die Szene „{}“ hat keine Bänder.</translation>
    </message>
    <message>
      <source>The scenes have no band role in common; give their bands roles first.</source>
      <translation>Die Szenen haben keine gemeinsame Bandrolle; geben Sie ihren Bändern zuerst Rollen.</translation>
    </message>
    <message>
      <source>The scenes have no valid pixel in common; choose ones of one place.</source>
      <translation>Die Szenen haben kein gemeinsames gültiges Pixel; wählen Sie solche eines Ortes.</translation>
    </message>
    <message>
      <source>The scenes lie too far apart to be one; choose adjoining ones.</source>
      <translation>Die Szenen liegen zu weit auseinander, um eine zu sein; wählen Sie angrenzende.</translation>
    </message>
    <message>
      <source>The share of dark pixels lies between 0 and 0.5; write one such as 0.0001.</source>
      <translation>Der Anteil dunkler Pixel liegt zwischen 0 und 0,5; schreiben Sie einen wie 0.0001.</translation>
    </message>
    <message>
      <source>The share of near infrared that comes from leaves; follows photosynthesis better than the plain index and needs no soil constant. Needs true reflectance.</source>
      <translation>Der Anteil des nahen Infrarots, der von Blättern kommt; folgt der Photosynthese besser als der einfache Index und braucht keine Bodenkonstante. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>The share of {} is not a number above 0.</source>
      <translation>Der Anteil von {} ist keine Zahl über 0.</translation>
    </message>
    <message>
      <source>The sharp band does not follow the bands; choose others of one place and season.</source>
      <translation>Das scharfe Band folgt den Bändern nicht; wählen Sie andere eines Ortes und einer Jahreszeit.</translation>
    </message>
    <message>
      <source>The sharp band is gone; choose another.</source>
      <translation>Das scharfe Band ist fort; wählen Sie ein anderes.</translation>
    </message>
    <message>
      <source>The sheet names no scene that the column “scene” could stand for.</source>
      <translation>Das Blatt nennt keine Szene, für die die Spalte „scene“ stehen könnte.</translation>
    </message>
    <message>
      <source>The sheet names no scene “{}”, as a column is headed.{}</source>
      <translation>Das Blatt nennt keine Szene „{}“, wie eine Spalte überschrieben ist.{}</translation>
    </message>
    <message>
      <source>The shift in parts of a pixel, by phase correlation (Kuglin and Hines 1975). A correction is kept with the scene; its file stays as it is.</source>
      <translation>Die Verschiebung in Teilen eines Pixels, durch Phasenkorrelation (Kuglin und Hines 1975). Eine Berichtigung bleibt bei der Szene; ihre Datei bleibt, wie sie ist.</translation>
    </message>
    <message>
      <source>The shorter against the longer short-wave infrared: water in leaves lowers the first less than char lowers the second. Tells burnt ground from green growth years after a fire and is little moved by haze. Dry stubble and litter are high, open water is uncertain.</source>
      <translation>Das kürzere gegen das längere kurzwellige Infrarot: Wasser in Blättern senkt das erste weniger, als Kohle das zweite senkt. Unterscheidet Verbranntes noch Jahre nach einem Brand von grünem Bewuchs und wird von Dunst wenig bewegt. Trockene Stoppeln und Streu sind hoch, offenes Wasser ist ungewiss.</translation>
    </message>
    <message>
      <source>The side of the square around the pixel, in pixels; an odd number.</source>
      <translation>Die Seite des Quadrats um das Pixel, in Pixeln; eine ungerade Zahl.</translation>
    </message>
    <message>
      <source>The signature of “{}” has no mean.</source>
      <translation>Die Signatur von „{}“ hat kein Mittel.</translation>
    </message>
    <message>
      <source>The signatures are not complete; see docs/formats/signatures.json.</source>
      <translation>Die Signaturen sind unvollständig; siehe docs/formats/signatures.json.</translation>
    </message>
    <message>
      <source>The signatures do not have one value a band.</source>
      <translation>Die Signaturen haben nicht einen Wert je Band.</translation>
    </message>
    <message>
      <source>The signatures do not name one feature a band.</source>
      <translation>Die Signaturen nennen nicht ein Merkmal je Band.</translation>
    </message>
    <message>
      <source>The signatures have the class {} twice; name each once.</source>
      <translation>Die Signaturen haben die Klasse {} zweimal; nennen Sie jede einmal.</translation>
    </message>
    <message>
      <source>The size of a window is an odd whole number from 3 to {}.</source>
      <translation>Die Größe eines Fensters ist eine ungerade ganze Zahl von 3 bis {}.</translation>
    </message>
    <message>
      <source>The size of the cells is {}; give more than 0.</source>
      <translation>Die Größe der Zellen ist {}; geben Sie mehr als 0 an.</translation>
    </message>
    <message>
      <source>The slope, or the aspect as two features, for north is next to itself.</source>
      <translation>Die Neigung, oder die Ausrichtung als zwei Merkmale, denn Nord liegt neben sich selbst.</translation>
    </message>
    <message>
      <source>The smallest patch has 2 pixels or more; {} changes nothing.</source>
      <translation>Die kleinste Fläche hat 2 Pixel oder mehr; {} ändert nichts.</translation>
    </message>
    <message>
      <source>The soil-adjusted index with the constant that fitted crops best. Needs true reflectance.</source>
      <translation>Der bodenbereinigte Index mit der Konstante, die zu Feldfrüchten am besten passte. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>The spread in each group</source>
      <translation>Die Streuung in jeder Gruppe</translation>
    </message>
    <message>
      <source>The spread that distances are measured in: each class its own, or one of all classes together.</source>
      <translation>Die Streuung, in der Abstände gemessen werden: jede Klasse ihre eigene, oder eine aller Klassen zusammen.</translation>
    </message>
    <message>
      <source>The spreads and distances you set fit the data: groups are round and have about that width.</source>
      <translation>Die gesetzten Streuungen und Abstände passen zu den Daten: Gruppen sind rund und etwa so weit.</translation>
    </message>
    <message>
      <source>The stand-in</source>
      <translation>Der Ersatz</translation>
    </message>
    <message>
      <source>The starting band is not in the scene; choose the blue or green one.</source>
      <translation>Das Ausgangsband ist nicht in der Szene; wählen Sie das blaue oder grüne.</translation>
    </message>
    <message>
      <source>The step between the two short-wave bands reacts to water in leaves and in soil in opposite ways: keep the two apart with a vegetation index.</source>
      <translation>Der Sprung zwischen den beiden kurzwelligen Bändern antwortet auf Wasser in Blättern und im Boden entgegengesetzt: trennen Sie beides mit einem Vegetationsindex.</translation>
    </message>
    <message>
      <source>The step “{}” holds what cannot be used here; zpatch run --list tells its fields.</source>
      <translation>Der Schritt „{}“ enthält, was hier nicht brauchbar ist; zpatch run --list nennt seine Felder.</translation>
    </message>
    <message>
      <source>The step “{}” knows no “{}”; it takes {}.{}</source>
      <translation>Der Schritt „{}“ kennt kein „{}“; er nimmt {}.{}</translation>
    </message>
    <message>
      <source>The step “{}” needs {} under “{}”{}.</source>
      <translation>Der Schritt „{}“ braucht {} unter „{}“{}.</translation>
    </message>
    <message>
      <source>The study area limits indices, series and points where one asks for it. It is dashed in the view and hides nothing.</source>
      <translation>Das Untersuchungsgebiet begrenzt Indizes, Reihen und Punkte, wo man es verlangt. Es ist in der Ansicht gestrichelt und verdeckt nichts.</translation>
    </message>
    <message>
      <source>The study is not saved</source>
      <translation>Die Studie ist nicht gespeichert</translation>
    </message>
    <message>
      <source>The study is not saved: %1 It is tried again every few seconds.</source>
      <translation>Die Studie ist nicht gespeichert: %1 Es wird alle paar Sekunden wieder versucht.</translation>
    </message>
    <message>
      <source>The study is saved again.</source>
      <translation>Die Studie ist wieder gespeichert.</translation>
    </message>
    <message>
      <source>The study “{}” is not complete ({}); restore it from a copy.</source>
      <translation>Die Studie „{}“ ist unvollständig ({}); stellen Sie sie aus einer Kopie wieder her.</translation>
    </message>
    <message>
      <source>The study “{}” is open already; close it there first.</source>
      <translation>Die Studie „{}“ ist schon offen; schließen Sie sie dort zuerst.</translation>
    </message>
    <message>
      <source>The study's folder cannot be written to ({}).</source>
      <translation>In den Ordner der Studie kann nicht geschrieben werden ({}).</translation>
    </message>
    <message>
      <source>The subclasses of class {} have no room for codes of their own; give the class a code up to {}.</source>
      <translation>Für die Unterklassen von Klasse {} ist kein Platz für eigene Codes; geben Sie der Klasse einen Code bis {}.</translation>
    </message>
    <message>
      <source>The subclasses of the model are not those it learned.</source>
      <translation>Die Unterklassen des Modells sind nicht die, die es lernte.</translation>
    </message>
    <message>
      <source>The sun stands above 0 and up to 90 degrees over the horizon, not at {}.</source>
      <translation>Die Sonne steht über 0 und bis 90 Grad über dem Horizont, nicht bei {}.</translation>
    </message>
    <message>
      <source>The system that the points are written in, such as EPSG:4326</source>
      <translation>Das System, in dem die Punkte geschrieben werden, etwa EPSG:4326</translation>
    </message>
    <message>
      <source>The table</source>
      <translation>Die Tabelle</translation>
    </message>
    <message>
      <source>The table has more than {} rows; divide it first.</source>
      <translation>Die Tabelle hat mehr als {} Zeilen; teilen Sie sie zuerst.</translation>
    </message>
    <message>
      <source>The table has no rows; give it one for each scene.</source>
      <translation>Die Tabelle hat keine Zeilen; geben Sie ihr eine für jede Szene.</translation>
    </message>
    <message>
      <source>The table has {} rows; a table here has {} at most. Divide it first.</source>
      <translation>Die Tabelle hat {} Zeilen; hier hat eine höchstens {}. Teilen Sie sie zuerst.</translation>
    </message>
    <message>
      <source>The table is empty.</source>
      <translation>Die Tabelle ist leer.</translation>
    </message>
    <message>
      <source>The table is in “%1”, coordinates in %2.</source>
      <translation>Die Tabelle liegt in „%1“, Koordinaten in %2.</translation>
    </message>
    <message>
      <source>The table is in “%1”.</source>
      <translation>Die Tabelle liegt in „%1“.</translation>
    </message>
    <message>
      <source>The threshold that parts the histogram best in two (Otsu 1979)</source>
      <translation>Der Schwellenwert, der das Histogramm am besten in zwei teilt (Otsu 1979)</translation>
    </message>
    <message>
      <source>The thresholds have to rise, but {} is not above {}.</source>
      <translation>Die Schwellenwerte müssen steigen, aber {} liegt nicht über {}.</translation>
    </message>
    <message>
      <source>The tick shows an outline in the view</source>
      <translation>Das Häkchen zeigt einen Umriss in der Ansicht</translation>
    </message>
    <message>
      <source>The ticked scenes hold different kinds of values: %1. Their areas cannot be compared.</source>
      <translation>Die angekreuzten Szenen enthalten verschiedene Arten von Werten: %1. Ihre Flächen lassen sich nicht vergleichen.</translation>
    </message>
    <message>
      <source>The training pixels are all the same, so nothing can be told of what is unlike.</source>
      <translation>Die Trainingspixel sind alle gleich; daher lässt sich nicht sagen, was unähnlich ist.</translation>
    </message>
    <message>
      <source>The training pixels are still being read.</source>
      <translation>Die Trainingspixel werden noch gelesen.</translation>
    </message>
    <message>
      <source>The training pixels of the class are all alike; there is nothing to split.</source>
      <translation>Die Trainingspixel der Klasse sind alle gleich; es gibt nichts zu teilen.</translation>
    </message>
    <message>
      <source>The training pixels of the model are not complete; train it again.</source>
      <translation>Die Trainingspixel des Modells sind unvollständig; trainieren Sie es neu.</translation>
    </message>
    <message>
      <source>The training pixels of “{}” do not vary enough for a covariance over these features; leave out ones that repeat others or draw more areas.</source>
      <translation>Die Trainingspixel von „{}“ ändern sich zu wenig für eine Kovarianz über diese Merkmale; lassen Sie solche weg, die andere wiederholen, oder zeichnen Sie mehr Gebiete.</translation>
    </message>
    <message>
      <source>The training used {} features, but {} are chosen; choose the same.</source>
      <translation>Das Training verwendete {} Merkmale, aber {} sind gewählt; wählen Sie dieselben.</translation>
    </message>
    <message>
      <source>The two have no common part of 64 pixels; choose layers that overlap.</source>
      <translation>Die beiden haben keinen gemeinsamen Teil von 64 Pixeln; wählen Sie Ebenen, die sich überdecken.</translation>
    </message>
    <message>
      <source>The two layers are too unlike to measure a shift; choose bands that look alike.</source>
      <translation>Die beiden Ebenen sind zu unähnlich, um eine Verschiebung zu messen; wählen Sie Bänder, die sich gleichen.</translation>
    </message>
    <message>
      <source>The two layers have no pixel in common where both have a value; choose layers that overlap.</source>
      <translation>Die beiden Ebenen haben kein gemeinsames Pixel, wo beide einen Wert haben; wählen Sie Ebenen, die sich überdecken.</translation>
    </message>
    <message>
      <source>The two parts need a name each, and not the same.</source>
      <translation>Die beiden Teile brauchen je einen Namen, und nicht denselben.</translation>
    </message>
    <message>
      <source>The two scenes have no band role in common.</source>
      <translation>Die beiden Szenen haben keine gemeinsame Bandrolle.</translation>
    </message>
    <message>
      <source>The value of the brightest grey level.</source>
      <translation>Der Wert der hellsten Graustufe.</translation>
    </message>
    <message>
      <source>The value of the darkest of the sixteen grey levels.</source>
      <translation>Der Wert der dunkelsten der sechzehn Graustufen.</translation>
    </message>
    <message>
      <source>The values of one band, as the scene has them.</source>
      <translation>Die Werte eines Bandes, wie die Szene sie hat.</translation>
    </message>
    <message>
      <source>The vegetation index taken from the built-up index: gardens and street trees fall away. Bare soil stays.</source>
      <translation>Der Vegetationsindex vom Bebauungsindex abgezogen: Gärten und Straßenbäume fallen weg. Offener Boden bleibt.</translation>
    </message>
    <message>
      <source>The wavelength at which reflectance rises steepest. Over growth 715 to 735 nm; over soil and water it has no meaning and can be anything.</source>
      <translation>Die Wellenlänge, bei der die Reflexion am steilsten steigt. Über Bewuchs 715 bis 735 nm; über Boden und Wasser bedeutet sie nichts und kann alles sein.</translation>
    </message>
    <message>
      <source>The whole job</source>
      <translation>Die ganze Arbeit</translation>
    </message>
    <message>
      <source>The whole legend</source>
      <translation>Die ganze Legende</translation>
    </message>
    <message>
      <source>The window is {} pixels across; give an odd number from 1 to {}.</source>
      <translation>Das Fenster ist {} Pixel breit; geben Sie eine ungerade Zahl von 1 bis {} an.</translation>
    </message>
    <message>
      <source>The window of a filter is an odd number from 3 to 31, not {}.</source>
      <translation>Das Fenster eines Filters ist eine ungerade Zahl von 3 bis 31, nicht {}.</translation>
    </message>
    <message>
      <source>The {} of the legend is no text.</source>
      <translation>Das {} der Legende ist kein Text.</translation>
    </message>
    <message>
      <source>Their classes</source>
      <translation>Ihre Klassen</translation>
    </message>
    <message>
      <source>Their name or initials</source>
      <translation>Ihr Name oder Kürzel</translation>
    </message>
    <message>
      <source>Their signatures</source>
      <translation>Ihre Signaturen</translation>
    </message>
    <message>
      <source>Theirs</source>
      <translation>Ihre</translation>
    </message>
    <message>
      <source>There are fewer than two class maps yet.</source>
      <translation>Es gibt noch weniger als zwei Klassenkarten.</translation>
    </message>
    <message>
      <source>There are no classes; summarise a class map in zones or cells, or read one at points.</source>
      <translation>Es gibt keine Klassen; fassen Sie eine Klassenkarte in Zonen oder Zellen zusammen, oder lesen Sie eine an Punkten ab.</translation>
    </message>
    <message>
      <source>There are no more groups of different pixels, though %1 were asked for.</source>
      <translation>Es gibt keine weiteren Gruppen verschiedener Pixel, obwohl %1 verlangt waren.</translation>
    </message>
    <message>
      <source>There are no pixels to group.</source>
      <translation>Es gibt keine Pixel zum Gruppieren.</translation>
    </message>
    <message>
      <source>There are no points to read at; place or choose some first.</source>
      <translation>Es gibt keine Punkte zum Ablesen; setzen oder wählen Sie zuerst welche.</translation>
    </message>
    <message>
      <source>There are no polygons to summarise over; give a layer of polygons.</source>
      <translation>Es gibt keine Polygone zum Zusammenfassen; geben Sie eine Ebene mit Polygonen an.</translation>
    </message>
    <message>
      <source>There are no rules; write one, such as “nir &lt; 0.1”.</source>
      <translation>Es gibt keine Regeln; schreiben Sie eine, etwa „nir &lt; 0.1“.</translation>
    </message>
    <message>
      <source>There are no training areas yet.</source>
      <translation>Es gibt noch keine Trainingsgebiete.</translation>
    </message>
    <message>
      <source>There are no training areas yet; draw or import some under Training.</source>
      <translation>Es gibt noch keine Trainingsgebiete; zeichnen oder importieren Sie welche unter Training.</translation>
    </message>
    <message>
      <source>There are no valid pixels to place points on; choose another raster or area.</source>
      <translation>Es gibt keine gültigen Pixel, auf die Punkte gesetzt werden könnten; wählen Sie ein anderes Raster oder Gebiet.</translation>
    </message>
    <message>
      <source>There are only {} blocks, not {}; ask for fewer or make them smaller.</source>
      <translation>Es gibt nur {} Blöcke, nicht {}; verlangen Sie weniger, oder machen Sie sie kleiner.</translation>
    </message>
    <message>
      <source>There are points drawn in class {}, but the map has no such class; use the map the points were drawn on.</source>
      <translation>Es gibt in Klasse {} gezogene Punkte, aber die Karte hat keine solche Klasse; nehmen Sie die Karte, auf der die Punkte gezogen wurden.</translation>
    </message>
    <message>
      <source>There are too few different pixels to tell.</source>
      <translation>Es gibt zu wenige verschiedene Pixel, um etwas zu sagen.</translation>
    </message>
    <message>
      <source>There are too few training areas to keep some out; draw a second one of each class.</source>
      <translation>Es gibt zu wenige Trainingsgebiete, um einige zurückzuhalten; zeichnen Sie von jeder Klasse ein zweites.</translation>
    </message>
    <message>
      <source>There are {} columns of the one and {} of the other; name them in pairs.</source>
      <translation>Es gibt {} Spalten der einen und {} der anderen; nennen Sie sie paarweise.</translation>
    </message>
    <message>
      <source>There are {} points {} already, and {} are asked for; ask for more.</source>
      <translation>Es gibt schon {} Punkte {}, und {} sind verlangt; verlangen Sie mehr.</translation>
    </message>
    <message>
      <source>There is a column “{}” already; take another name.</source>
      <translation>Es gibt schon eine Spalte „{}“; nehmen Sie einen anderen Namen.</translation>
    </message>
    <message>
      <source>There is a preset “{}” already; take another name.</source>
      <translation>Es gibt schon eine Voreinstellung „{}“; nehmen Sie einen anderen Namen.</translation>
    </message>
    <message>
      <source>There is a sign missing before “{}”.</source>
      <translation>Vor „{}“ fehlt ein Zeichen.</translation>
    </message>
    <message>
      <source>There is no band {} for {}; “{}” has {} bands.</source>
      <translation>Es gibt kein Band {} für {}; „{}“ hat {} Bänder.</translation>
    </message>
    <message>
      <source>There is no class map yet; make one first.</source>
      <translation>Es gibt noch keine Klassenkarte; machen Sie zuerst eine.</translation>
    </message>
    <message>
      <source>There is no class to give yet; make a legend on the training desk first.</source>
      <translation>Es gibt noch keine Klasse zu vergeben; machen Sie zuerst am Trainingspult eine Legende.</translation>
    </message>
    <message>
      <source>There is no class {} for a correction to give; choose another.</source>
      <translation>Es gibt keine Klasse {}, die eine Korrektur geben könnte; wählen Sie eine andere.</translation>
    </message>
    <message>
      <source>There is no column of dates; read or summarise scenes of several dates with a row a place and date.</source>
      <translation>Es gibt keine Spalte mit Daten; lesen Sie Szenen mehrerer Daten ab, oder fassen Sie sie zusammen, mit einer Zeile je Ort und Datum.</translation>
    </message>
    <message>
      <source>There is no column “{}”.{}</source>
      <translation>Es gibt keine Spalte „{}“.{}</translation>
    </message>
    <message>
      <source>There is no column “{}”; the columns are {}.{}</source>
      <translation>Es gibt keine Spalte „{}“; die Spalten sind {}.{}</translation>
    </message>
    <message>
      <source>There is no feature “{}”; the kinds are {}.{}</source>
      <translation>Es gibt kein Merkmal „{}“; die Arten sind {}.{}</translation>
    </message>
    <message>
      <source>There is no index “{}” in the book of {}; look through its list.{}</source>
      <translation>Es gibt keinen Index „{}“ im Buch der {}; sehen Sie seine Liste durch.{}</translation>
    </message>
    <message>
      <source>There is no label yet</source>
      <translation>Es gibt noch keine Angabe</translation>
    </message>
    <message>
      <source>There is no layer of heights here; bring one in first.</source>
      <translation>Hier gibt es keine Ebene mit Höhen; holen Sie zuerst eine herein.</translation>
    </message>
    <message>
      <source>There is no matrix yet: a row of numbers for each class.</source>
      <translation>Es gibt noch keine Matrix: eine Zeile mit Zahlen für jede Klasse.</translation>
    </message>
    <message>
      <source>There is no method “{}”; the methods are {}.{}</source>
      <translation>Es gibt kein Verfahren „{}“; die Verfahren sind {}.{}</translation>
    </message>
    <message>
      <source>There is no other scene of this kind.</source>
      <translation>Es gibt keine andere Szene dieser Art.</translation>
    </message>
    <message>
      <source>There is no pixel of the map; click on it.</source>
      <translation>Dort ist kein Pixel der Karte; klicken Sie auf sie.</translation>
    </message>
    <message>
      <source>There is no pixel with a value; check the formula.</source>
      <translation>Es gibt kein Pixel mit einem Wert; prüfen Sie die Formel.</translation>
    </message>
    <message>
      <source>There is no point with a label and a class of both maps; label some points first.</source>
      <translation>Es gibt keinen Punkt mit Angabe und einer Klasse beider Karten; bestimmen Sie zuerst einige.</translation>
    </message>
    <message>
      <source>There is no point with both a mapped class and a reference label; label some points first.</source>
      <translation>Es gibt keinen Punkt mit kartierter Klasse und Referenzangabe; bestimmen Sie zuerst einige.</translation>
    </message>
    <message>
      <source>There is no point yet that both labelled.</source>
      <translation>Noch gibt es keinen Punkt, den beide bestimmt haben.</translation>
    </message>
    <message>
      <source>There is no prior for “{}” ({}); give one for every class, or equal ones.</source>
      <translation>Es gibt kein Vorwissen für „{}“ ({}); geben Sie es für jede Klasse an, oder gleiches.</translation>
    </message>
    <message>
      <source>There is no reference system, so nothing can be cut to an outline; give the scene one first.</source>
      <translation>Es gibt kein Bezugssystem; daher kann nichts auf einen Umriss geschnitten werden; geben Sie der Szene zuerst eines.</translation>
    </message>
    <message>
      <source>There is no row of numbers in it.</source>
      <translation>Darin ist keine Zeile mit Zahlen.</translation>
    </message>
    <message>
      <source>There is no scene or layer “{}” here.{}</source>
      <translation>Hier gibt es keine Szene oder Ebene „{}“.{}</translation>
    </message>
    <message>
      <source>There is no scene to fetch.</source>
      <translation>Es gibt keine Szene zu holen.</translation>
    </message>
    <message>
      <source>There is no scene “{}” here.</source>
      <translation>Hier gibt es keine Szene „{}“.</translation>
    </message>
    <message>
      <source>There is no sensor preset “{}”; the presets are {}.{}</source>
      <translation>Es gibt keine Sensor-Voreinstellung „{}“; die Voreinstellungen sind {}.{}</translation>
    </message>
    <message>
      <source>There is no statistic “{}”; there are {} and percentiles such as p10.{}</source>
      <translation>Es gibt keine Statistik „{}“; es gibt {} und Perzentile wie p10.{}</translation>
    </message>
    <message>
      <source>There is no study area yet; draw or choose one under Scenes.</source>
      <translation>Es gibt noch kein Untersuchungsgebiet; zeichnen oder wählen Sie eines unter Szenen.</translation>
    </message>
    <message>
      <source>There is no study area yet; draw or choose one under Study area.</source>
      <translation>Es gibt noch kein Untersuchungsgebiet; zeichnen oder wählen Sie eines unter Untersuchungsgebiet.</translation>
    </message>
    <message>
      <source>There is no such column; read layers at the places, or add one by a formula.</source>
      <translation>Es gibt keine solche Spalte; lesen Sie Ebenen an den Orten ab, oder fügen Sie durch eine Formel eine hinzu.</translation>
    </message>
    <message>
      <source>There is no way from {} to {}; bring the layers into one system first.</source>
      <translation>Kein Weg führt von {} nach {}; bringen Sie die Ebenen zuerst in ein System.</translation>
    </message>
    <message>
      <source>There is no way to cluster “{}”; there are {}.{}</source>
      <translation>Es gibt keine Art zu clustern „{}“; es gibt {}.{}</translation>
    </message>
    <message>
      <source>There is no “{}” here.{}</source>
      <translation>Hier gibt es kein „{}“.{}</translation>
    </message>
    <message>
      <source>There is not enough memory for a picture.</source>
      <translation>Für ein Bild ist nicht genug Speicher da.</translation>
    </message>
    <message>
      <source>There is not enough memory; close other programs or use a smaller part.</source>
      <translation>Es ist nicht genug Speicher da; schließen Sie andere Programme, oder nehmen Sie einen kleineren Teil.</translation>
    </message>
    <message>
      <source>There is not enough memory; give it fewer threads or a smaller scene.</source>
      <translation>Es ist nicht genug Speicher da; geben Sie weniger Threads oder eine kleinere Szene.</translation>
    </message>
    <message>
      <source>There is nothing to choose for {} here.</source>
      <translation>Für {} gibt es hier nichts zu wählen.</translation>
    </message>
    <message>
      <source>There is nothing to join yet; read a table, or bring in an outline.</source>
      <translation>Noch gibt es nichts zu verbinden; lesen Sie eine Tabelle ab, oder holen Sie einen Umriss herein.</translation>
    </message>
    <message>
      <source>There is nothing to lay cells over yet.</source>
      <translation>Noch gibt es nichts, worüber Zellen gelegt werden könnten.</translation>
    </message>
    <message>
      <source>There is nothing to place points over yet.</source>
      <translation>Noch gibt es nichts, worüber Punkte gesetzt werden könnten.</translation>
    </message>
    <message>
      <source>There is nothing to take back.</source>
      <translation>Es gibt nichts zurückzunehmen.</translation>
    </message>
    <message>
      <source>There is something else in “{}”; move it away and fetch again.</source>
      <translation>In „{}“ ist etwas anderes; legen Sie es weg, und holen Sie noch einmal.</translation>
    </message>
    <message>
      <source>These areas as</source>
      <translation>Diese Gebiete als</translation>
    </message>
    <message>
      <source>These places are not points; choose a layer of points.</source>
      <translation>Diese Orte sind keine Punkte; wählen Sie eine Ebene mit Punkten.</translation>
    </message>
    <message>
      <source>These points were topped up three times, to half their spacing; place anew what is to be closer still.</source>
      <translation>Diese Punkte wurden dreimal aufgefüllt, bis zum halben Abstand; setzen Sie neu, was noch dichter sein soll.</translation>
    </message>
    <message>
      <source>These rows have no places; join them by a column.</source>
      <translation>Diese Zeilen haben keine Orte; verbinden Sie sie über eine Spalte.</translation>
    </message>
    <message>
      <source>These signatures are of other features than those shown; choose a scene, or features, that they are of.</source>
      <translation>Diese Signaturen sind aus anderen Merkmalen als den gezeigten; wählen Sie eine Szene oder Merkmale, aus denen sie sind.</translation>
    </message>
    <message>
      <source>These would be more than the {} cells that can be made; make them larger.</source>
      <translation>Das wären mehr als die {} Zellen, die gemacht werden können; machen Sie sie größer.</translation>
    </message>
    <message>
      <source>These would be more than {} blocks; make them larger.</source>
      <translation>Das wären mehr als {} Blöcke; machen Sie sie größer.</translation>
    </message>
    <message>
      <source>These would be more than {} points; give a larger spacing.</source>
      <translation>Das wären mehr als {} Punkte; geben Sie einen größeren Abstand an.</translation>
    </message>
    <message>
      <source>They are not closed yet; close them first, then the two are compared.</source>
      <translation>Sie sind noch nicht abgeschlossen; schließen Sie sie zuerst ab, dann werden beide verglichen.</translation>
    </message>
    <message>
      <source>They are the same.</source>
      <translation>Sie sind gleich.</translation>
    </message>
    <message numerus="yes">
      <source>They lie in %n blocks.</source>
      <comment>They lie in %n block.</comment>
      <translation>
        <numerusform>Sie liegen in %n Block.</numerusform>
        <numerusform>Sie liegen in %n Blöcken.</numerusform>
      </translation>
    </message>
    <message>
      <source>They see neither the map's class nor your labels. How often you say the same tells how far the labels can be trusted.</source>
      <translation>Die Person sieht weder die Klasse der Karte noch Ihre Angaben. Wie oft Sie dasselbe sagen, sagt, wie weit den Angaben zu trauen ist.</translation>
    </message>
    <message>
      <source>This archive stands in for a provider's. It can be made to behave badly, to see what happens then.</source>
      <translation>Dieses Archiv steht für das eines Anbieters. Es lässt sich stören, um zu sehen, was dann geschieht.</translation>
    </message>
    <message>
      <source>This area</source>
      <translation>Dieses Gebiet</translation>
    </message>
    <message>
      <source>This closing parenthesis has no opening one.</source>
      <translation>Diese schließende Klammer hat keine öffnende.</translation>
    </message>
    <message>
      <source>This could not be done ({}).</source>
      <translation>Das ging nicht ({}).</translation>
    </message>
    <message>
      <source>This feature is among them already.</source>
      <translation>Dieses Merkmal ist schon dabei.</translation>
    </message>
    <message>
      <source>This is a picture of a formula; it can be displayed in other ways once it is made.</source>
      <translation>Das ist das Bild einer Formel; es lässt sich anders darstellen, sobald es gemacht ist.</translation>
    </message>
    <message>
      <source>This is a text; rows are chosen by a comparison, such as cover = "Reedbed".</source>
      <translation>Das ist ein Text; Zeilen werden durch einen Vergleich gewählt, etwa cover = "Schilf".</translation>
    </message>
    <message>
      <source>This is done at %1. Press it in the strip above, or F%2.</source>
      <translation>Das geschieht bei %1. Drücken Sie es in der Leiste oben, oder F%2.</translation>
    </message>
    <message>
      <source>This is so from the next start; a job runs now.</source>
      <translation>Das gilt ab dem nächsten Start; gerade läuft eine Arbeit.</translation>
    </message>
    <message>
      <source>This mixes {}: bring the scenes to one state first.</source>
      <translation>Das mischt {}: bringen Sie die Szenen zuerst auf eine Art von Werten.</translation>
    </message>
    <message>
      <source>This name has no closing brace.</source>
      <translation>Dieser Name hat keine schließende geschweifte Klammer.</translation>
    </message>
    <message>
      <source>This number is too large.</source>
      <translation>Diese Zahl ist zu groß.</translation>
    </message>
    <message>
      <source>This patch is larger than {} pixels across; draw an area instead.</source>
      <translation>Diese Fläche ist mehr als {} Pixel breit; zeichnen Sie stattdessen ein Gebiet.</translation>
    </message>
    <message>
      <source>This text has no closing quote.</source>
      <translation>Dieser Text hat kein schließendes Anführungszeichen.</translation>
    </message>
    <message>
      <source>Threshold %1</source>
      <translation>Schwelle %1</translation>
    </message>
    <message>
      <source>Thresholds</source>
      <translation>Schwellenwerte</translation>
    </message>
    <message>
      <source>Thresholds: {}; names: {}. One name more than thresholds is needed.</source>
      <translation>Schwellenwerte: {}; Namen: {}. Gebraucht wird ein Name mehr als Schwellenwerte.</translation>
    </message>
    <message>
      <source>Through time</source>
      <translation>Durch die Zeit</translation>
    </message>
    <message>
      <source>Tick a class of the first map.</source>
      <translation>Kreuzen Sie eine Klasse der ersten Karte an.</translation>
    </message>
    <message>
      <source>Tick a class that is kept, or keep none of the map.</source>
      <translation>Kreuzen Sie eine Klasse an, die bleibt, oder behalten Sie keine der Karte.</translation>
    </message>
    <message>
      <source>Tick at least one layer to read.</source>
      <translation>Kreuzen Sie mindestens eine Ebene zum Ablesen an.</translation>
    </message>
    <message>
      <source>Tick by what the rows are put together.</source>
      <translation>Kreuzen Sie an, wonach die Zeilen zusammengefasst werden.</translation>
    </message>
    <message>
      <source>Tick one band or more.</source>
      <translation>Kreuzen Sie ein Band oder mehrere an.</translation>
    </message>
    <message>
      <source>Tick two scenes or more.</source>
      <translation>Kreuzen Sie zwei Szenen oder mehr an.</translation>
    </message>
    <message>
      <source>Tidy</source>
      <translation>Bereinigen</translation>
    </message>
    <message>
      <source>Tidy the map</source>
      <translation>Die Karte bereinigen</translation>
    </message>
    <message>
      <source>Tidying needs a window for the majority, or a smallest patch; give one.</source>
      <translation>Bereinigen braucht ein Fenster für die Mehrheit oder eine kleinste Fläche; geben Sie eines an.</translation>
    </message>
    <message>
      <source>Times %1</source>
      <translation>Mal %1</translation>
    </message>
    <message>
      <source>Title</source>
      <translation>Titel</translation>
    </message>
    <message>
      <source>To</source>
      <translation>Bis</translation>
    </message>
    <message>
      <source>To be looked at again: a click, or Space</source>
      <translation>Noch einmal ansehen: ein Klick oder die Leertaste</translation>
    </message>
    <message>
      <source>To readings</source>
      <translation>Zu den Ablesungen</translation>
    </message>
    <message>
      <source>To the bin</source>
      <translation>In den Papierkorb</translation>
    </message>
    <message>
      <source>To the matrix</source>
      <translation>Zur Matrix</translation>
    </message>
    <message>
      <source>To the view</source>
      <translation>Zur Ansicht</translation>
    </message>
    <message>
      <source>Told by</source>
      <translation>Bezeichnet durch</translation>
    </message>
    <message>
      <source>Told by place</source>
      <translation>Nach Ort bezeichnet</translation>
    </message>
    <message>
      <source>Tolerance</source>
      <translation>Toleranz</translation>
    </message>
    <message>
      <source>Too few pixels stayed the same between the two scenes; choose dates that are nearer to each other.</source>
      <translation>Zwischen den beiden Szenen blieben zu wenige Pixel gleich; wählen Sie Daten, die näher beieinanderliegen.</translation>
    </message>
    <message>
      <source>Too few points or errors to say whether the groups differ by more than chance.</source>
      <translation>Zu wenige Punkte oder Fehler, um zu sagen, ob sich die Gruppen mehr als durch Zufall unterscheiden.</translation>
    </message>
    <message>
      <source>Top up</source>
      <translation>Auffüllen</translation>
    </message>
    <message>
      <source>Touch up map</source>
      <translation>Karte nachbessern</translation>
    </message>
    <message>
      <source>Trained</source>
      <translation>Trainiert</translation>
    </message>
    <message>
      <source>Training</source>
      <translation>Training</translation>
    </message>
    <message>
      <source>Training areas</source>
      <translation>Trainingsgebiete</translation>
    </message>
    <message>
      <source>Training areas are drawn on a scene. Bring one in first.</source>
      <translation>Trainingsgebiete werden auf einer Szene gezeichnet. Holen Sie zuerst eine herein.</translation>
    </message>
    <message>
      <source>Training areas of the class</source>
      <translation>Trainingsgebiete der Klasse</translation>
    </message>
    <message>
      <source>Training pixels in two features</source>
      <translation>Trainingspixel in zwei Merkmalen</translation>
    </message>
    <message>
      <source>Training pixels show all there is of a class, about equally many of each. Classes may have any shape, and several parts.</source>
      <translation>Trainingspixel zeigen alles, was es von einer Klasse gibt, von jeder etwa gleich viele. Klassen dürfen jede Form und mehrere Teile haben.</translation>
    </message>
    <message>
      <source>Training pixels show all there is of a class. It needs no shape of the classes and no common scale of the features.</source>
      <translation>Trainingspixel zeigen alles, was es von einer Klasse gibt. Es verlangt keine Form der Klassen und keinen gemeinsamen Maßstab der Merkmale.</translation>
    </message>
    <message>
      <source>Training pixels show where classes meet. Features are brought to one scale; the classes may have any shape with the radial kernel.</source>
      <translation>Trainingspixel zeigen, wo Klassen sich treffen. Merkmale werden auf einen Maßstab gebracht; mit dem radialen Kern dürfen die Klassen jede Form haben.</translation>
    </message>
    <message>
      <source>Training pixels that are kept of each class at most, drawn at random. More are slower.</source>
      <translation>Trainingspixel, die von jeder Klasse höchstens behalten werden, zufällig gezogen. Mehr sind langsamer.</translation>
    </message>
    <message>
      <source>Training pixels that are used of each class at most, drawn at random. More take longer to train and to map.</source>
      <translation>Trainingspixel, die von jeder Klasse höchstens verwendet werden, zufällig gezogen. Mehr brauchen länger zum Trainieren und Kartieren.</translation>
    </message>
    <message>
      <source>Training pixels that are used of each class at most, drawn at random. More take longer to train.</source>
      <translation>Trainingspixel, die von jeder Klasse höchstens verwendet werden, zufällig gezogen. Mehr brauchen länger zum Trainieren.</translation>
    </message>
    <message>
      <source>Trees</source>
      <translation>Bäume</translation>
    </message>
    <message>
      <source>Triangular vegetation index</source>
      <translation>Dreiecks-Vegetationsindex</translation>
    </message>
    <message>
      <source>Trigg and Flasse 2001</source>
      <translation>Trigg und Flasse 2001</translation>
    </message>
    <message>
      <source>Trying 2 to 20 clusters on a draw of the pixels…</source>
      <translation>2 bis 20 Cluster werden an einer Ziehung der Pixel versucht…</translation>
    </message>
    <message>
      <source>Tucker 1979</source>
      <translation>Tucker 1979</translation>
    </message>
    <message>
      <source>Turbidity</source>
      <translation>Trübung</translation>
    </message>
    <message>
      <source>Turned</source>
      <translation>Gedreht</translation>
    </message>
    <message>
      <source>Two classes: first the one that most of it is, then the other</source>
      <translation>Zwei Klassen: zuerst die, die das meiste davon ist, dann die andere</translation>
    </message>
    <message>
      <source>Two columns</source>
      <translation>Zwei Spalten</translation>
    </message>
    <message>
      <source>Two groups whose means are nearer than this are joined; in the same unit, over all features together.</source>
      <translation>Zwei Gruppen, deren Mittel näher als dies sind, werden vereint; in derselben Einheit, über alle Merkmale zusammen.</translation>
    </message>
    <message>
      <source>Two maps at the same points</source>
      <translation>Zwei Karten an denselben Punkten</translation>
    </message>
    <message>
      <source>Two-band enhanced vegetation index</source>
      <translation>Verbesserter Vegetationsindex mit zwei Bändern</translation>
    </message>
    <message>
      <source>Type or paste the points: a row a class of the map, a column a class of the reference, parted by tabs, semicolons, commas or blanks; names before and above if there are any. A last column “area” weighs each row by how much of the map it is.</source>
      <translation>Tippen oder fügen Sie die Punkte ein: eine Zeile je Klasse der Karte, eine Spalte je Klasse der Referenz, getrennt durch Tabulatoren, Semikolons, Kommas oder Leerzeichen; Namen davor und darüber, wenn es sie gibt. Eine letzte Spalte „area“ gewichtet jede Zeile damit, wie viel der Karte sie ist.</translation>
    </message>
    <message>
      <source>U</source>
      <translation>U</translation>
    </message>
    <message>
      <source>U.S. Geological Survey, Landsat 4-7 Collection 2 Level 2 Science Product Guide, QA_PIXEL</source>
      <translation>U.S. Geological Survey, Landsat 4-7 Collection 2 Level 2 Science Product Guide, QA_PIXEL</translation>
    </message>
    <message>
      <source>U.S. Geological Survey, Landsat 8-9 Collection 2 Level 2 Science Product Guide, QA_PIXEL</source>
      <translation>U.S. Geological Survey, Landsat 8-9 Collection 2 Level 2 Science Product Guide, QA_PIXEL</translation>
    </message>
    <message>
      <source>Undo</source>
      <translation>Zurücknehmen</translation>
    </message>
    <message>
      <source>Unit</source>
      <translation>Einheit</translation>
    </message>
    <message>
      <source>United States Geological Survey, Landsat Collection 2 science product guides</source>
      <translation>United States Geological Survey, Landsat Collection 2 science product guides</translation>
    </message>
    <message>
      <source>United States Geological Survey, Landsat Collection 2 science product guides; divide by the sine of the sun's height for true reflectance</source>
      <translation>United States Geological Survey, Landsat Collection 2 science product guides; für echte Reflexion durch den Sinus der Sonnenhöhe teilen</translation>
    </message>
    <message>
      <source>Unknown pass%1.</source>
      <translation>Unbekannter Überflug%1.</translation>
    </message>
    <message>
      <source>Unpin all</source>
      <translation>Alle lösen</translation>
    </message>
    <message>
      <source>Unpin all profiles</source>
      <translation>Alle Profile lösen</translation>
    </message>
    <message>
      <source>Unsure</source>
      <translation>Unsicher</translation>
    </message>
    <message>
      <source>Up</source>
      <translation>Senkrecht</translation>
    </message>
    <message>
      <source>Urban index</source>
      <translation>Stadtindex</translation>
    </message>
    <message>
      <source>Use all pixels</source>
      <translation>Alle Pixel verwenden</translation>
    </message>
    <message>
      <source>Use as study area</source>
      <translation>Als Untersuchungsgebiet verwenden</translation>
    </message>
    <message>
      <source>Use these instead</source>
      <translation>Stattdessen diese verwenden</translation>
    </message>
    <message>
      <source>Use where they are, without a copy</source>
      <translation>Dort verwenden, wo sie sind, ohne Kopie</translation>
    </message>
    <message>
      <source>User's accuracy of both maps, class by class</source>
      <translation>Nutzergenauigkeit beider Karten, Klasse für Klasse</translation>
    </message>
    <message>
      <source>User's accuracy, class by class</source>
      <translation>Nutzergenauigkeit, Klasse für Klasse</translation>
    </message>
    <message>
      <source>VIIRS, 3 image bands, surface reflectance</source>
      <translation>VIIRS, 3 Bildbänder, Bodenreflexion</translation>
    </message>
    <message>
      <source>VV less VH in decibels</source>
      <translation>VV minus VH in Dezibel</translation>
    </message>
    <message>
      <source>Validation plan</source>
      <translation>Validierungsplan</translation>
    </message>
    <message>
      <source>Validation points</source>
      <translation>Prüfpunkte</translation>
    </message>
    <message>
      <source>Valley</source>
      <translation>Tal</translation>
    </message>
    <message>
      <source>Value %1 of the quality band</source>
      <translation>Wert %1 des Qualitätsbandes</translation>
    </message>
    <message>
      <source>Value = stored number × scale + offset. A scale or offset typed here holds for every band that has the same now.</source>
      <translation>Wert = gespeicherte Zahl × Maßstab + Versatz. Ein hier getippter Maßstab oder Versatz gilt für jedes Band, das jetzt denselben hat.</translation>
    </message>
    <message>
      <source>Value of dark ground</source>
      <translation>Wert dunklen Grundes</translation>
    </message>
    <message>
      <source>Values</source>
      <translation>Werte</translation>
    </message>
    <message>
      <source>Values are</source>
      <translation>Werte sind</translation>
    </message>
    <message>
      <source>Values of a class are spread like a normal distribution with one peak. A class needs more training pixels than there are features; ten times as many is a good rule.</source>
      <translation>Die Werte einer Klasse streuen wie eine Normalverteilung mit einem Gipfel. Eine Klasse braucht mehr Trainingspixel, als es Merkmale gibt; zehnmal so viele sind eine gute Regel.</translation>
    </message>
    <message>
      <source>Values through time</source>
      <translation>Werte durch die Zeit</translation>
    </message>
    <message>
      <source>Vector files (*.gpkg *.geojson *.shp *.kml)</source>
      <translation>Vektordateien (*.gpkg *.geojson *.shp *.kml)</translation>
    </message>
    <message>
      <source>Vector layers (*.gpkg *.geojson *.json *.shp)</source>
      <translation>Vektorebenen (*.gpkg *.geojson *.json *.shp)</translation>
    </message>
    <message>
      <source>Vector layers (*.gpkg *.geojson *.json *.shp);;All files (*)</source>
      <translation>Vektorebenen (*.gpkg *.geojson *.json *.shp);;Alle Dateien (*)</translation>
    </message>
    <message>
      <source>Vector layers (*.gpkg *.geojson *.shp)</source>
      <translation>Vektorebenen (*.gpkg *.geojson *.shp)</translation>
    </message>
    <message>
      <source>Vegetation</source>
      <translation>Vegetation</translation>
    </message>
    <message>
      <source>Vegetation index built-up index</source>
      <translation>Bebauungsindex aus dem Vegetationsindex</translation>
    </message>
    <message>
      <source>Vegetation, enhanced</source>
      <translation>Vegetation, verbessert</translation>
    </message>
    <message>
      <source>Vegetation, enhanced without blue</source>
      <translation>Vegetation, verbessert ohne Blau</translation>
    </message>
    <message>
      <source>Vegetation, global monitoring</source>
      <translation>Vegetation, globale Beobachtung</translation>
    </message>
    <message>
      <source>Vegetation, green band</source>
      <translation>Vegetation, grünes Band</translation>
    </message>
    <message>
      <source>Vegetation, haze-resistant</source>
      <translation>Vegetation, dunstfest</translation>
    </message>
    <message>
      <source>Vegetation, non-linear</source>
      <translation>Vegetation, nichtlinear</translation>
    </message>
    <message>
      <source>Vegetation, red edge</source>
      <translation>Vegetation, Red Edge</translation>
    </message>
    <message>
      <source>Vegetation, soil-adjusted</source>
      <translation>Vegetation, bodenbereinigt</translation>
    </message>
    <message>
      <source>Vegetation, soil-adjusted, modified</source>
      <translation>Vegetation, bodenbereinigt, abgewandelt</translation>
    </message>
    <message>
      <source>Vegetation, soil-adjusted, optimised</source>
      <translation>Vegetation, bodenbereinigt, optimiert</translation>
    </message>
    <message>
      <source>Vegetation, triangle</source>
      <translation>Vegetation, Dreieck</translation>
    </message>
    <message>
      <source>Vegetation, visible bands</source>
      <translation>Vegetation, sichtbare Bänder</translation>
    </message>
    <message>
      <source>Vegetation, wide range</source>
      <translation>Vegetation, großer Bereich</translation>
    </message>
    <message>
      <source>View</source>
      <translation>Ansicht</translation>
    </message>
    <message>
      <source>Visible atmospherically resistant index</source>
      <translation>Atmosphärenresistenter Index der sichtbaren Bänder</translation>
    </message>
    <message>
      <source>Vreugdenhil et al. 2018</source>
      <translation>Vreugdenhil et al. 2018</translation>
    </message>
    <message>
      <source>Walk through the job</source>
      <translation>Rundgang durch die Arbeit</translation>
    </message>
    <message>
      <source>Wang and Qu 2007</source>
      <translation>Wang und Qu 2007</translation>
    </message>
    <message>
      <source>Was there</source>
      <translation>War dort</translation>
    </message>
    <message>
      <source>Water</source>
      <translation>Wasser</translation>
    </message>
    <message>
      <source>Water extraction</source>
      <translation>Wasserextraktion</translation>
    </message>
    <message>
      <source>Water extraction, with shadows</source>
      <translation>Wasserextraktion, mit Schatten</translation>
    </message>
    <message>
      <source>Water index 2015</source>
      <translation>Wasserindex 2015</translation>
    </message>
    <message>
      <source>Water, five bands</source>
      <translation>Wasser, fünf Bänder</translation>
    </message>
    <message>
      <source>Water, short-wave</source>
      <translation>Wasser, kurzwellig</translation>
    </message>
    <message>
      <source>Wavelength, nm</source>
      <translation>Wellenlänge, nm</translation>
    </message>
    <message>
      <source>Weighted by area.</source>
      <translation>Nach Fläche gewichtet.</translation>
    </message>
    <message>
      <source>Weights found so that the threshold 0 holds from scene to scene. Where hills or towns throw shadows, use the one for shadows. Needs true reflectance.</source>
      <translation>Gewichte so gefunden, dass der Schwellenwert 0 von Szene zu Szene hält. Wo Hügel oder Städte Schatten werfen, nehmen Sie den für Schatten. Braucht echte Reflexion.</translation>
    </message>
    <message>
      <source>Wet growth</source>
      <translation>Nasser Bewuchs</translation>
    </message>
    <message>
      <source>What a map was trained on it knows better than the rest: points there make it look better than it is</source>
      <translation>Woran eine Karte trainiert wurde, kennt sie besser als den Rest: Punkte dort lassen sie besser aussehen, als sie ist</translation>
    </message>
    <message>
      <source>What a training pixel on the wrong side costs: high follows each pixel, low gives smoother borders.</source>
      <translation>Was ein Trainingspixel auf der falschen Seite kostet: hoch folgt jedem Pixel, niedrig gibt glattere Grenzen.</translation>
    </message>
    <message>
      <source>What are these clusters?</source>
      <translation>Was sind diese Cluster?</translation>
    </message>
    <message>
      <source>What became of every class between two class maps, as a map and a table in hectares; or one class alone: lost, gained and kept.</source>
      <translation>Was aus jeder Klasse zwischen zwei Klassenkarten wurde, als Karte und als Tabelle in Hektar; oder eine Klasse allein: verloren, gewonnen und behalten.</translation>
    </message>
    <message>
      <source>What becomes of %1</source>
      <translation>Was aus %1 wird</translation>
    </message>
    <message>
      <source>What changed, where, and how much.</source>
      <translation>Was sich änderte, wo und wie viel.</translation>
    </message>
    <message>
      <source>What comes in</source>
      <translation>Was hereinkommt</translation>
    </message>
    <message>
      <source>What covers the pixel in the small square? Press its class, or the number on it. The map stays hidden, so that it cannot lead you. Ten points will do for now; a plan tells how many a real map needs.</source>
      <translation>Was bedeckt das Pixel im kleinen Quadrat? Drücken Sie seine Klasse oder die Zahl darauf. Die Karte bleibt verborgen, damit sie Sie nicht leitet. Zehn Punkte genügen vorerst; ein Plan sagt, wie viele eine echte Karte braucht.</translation>
    </message>
    <message>
      <source>What goes</source>
      <translation>Was hinausgeht</translation>
    </message>
    <message>
      <source>What goes into it</source>
      <translation>Was hineinkommt</translation>
    </message>
    <message>
      <source>What is done here, in the guide</source>
      <translation>Was hier getan wird, im Handbuch</translation>
    </message>
    <message>
      <source>What is here?</source>
      <translation>Was ist hier?</translation>
    </message>
    <message>
      <source>What is it? A click, or a key from 1 to 9, makes it training of that class.</source>
      <translation>Was ist es? Ein Klick oder eine Taste von 1 bis 9 macht es zum Training dieser Klasse.</translation>
    </message>
    <message>
      <source>What is learned so, for use on another scene or in another study</source>
      <translation>Was so gelernt ist, zum Gebrauch an einer anderen Szene oder in einer anderen Studie</translation>
    </message>
    <message>
      <source>What is plainly wrong is put right by hand, and kept apart from the map.</source>
      <translation>Was offensichtlich falsch ist, wird von Hand berichtigt und von der Karte getrennt aufbewahrt.</translation>
    </message>
    <message>
      <source>What is seen, with title, key, scale bar, north, source and date.</source>
      <translation>Was zu sehen ist, mit Titel, Schlüssel, Maßstabsleiste, Norden, Quelle und Datum.</translation>
    </message>
    <message>
      <source>What is wrong in all, in two parts: classes that are too large or too small on the map, and classes that lie in the wrong places (Pontius and Millones 2011)</source>
      <translation>Was im Ganzen falsch ist, in zwei Teilen: Klassen, die auf der Karte zu groß oder zu klein sind, und Klassen, die am falschen Ort liegen (Pontius und Millones 2011)</translation>
    </message>
    <message>
      <source>What it does, what it assumes, when it fails</source>
      <translation>Was es tut, was es voraussetzt, wann es versagt</translation>
    </message>
    <message>
      <source>What it is of</source>
      <translation>Wovon es ist</translation>
    </message>
    <message>
      <source>What it needs</source>
      <translation>Was es braucht</translation>
    </message>
    <message>
      <source>What it will cost</source>
      <translation>Was es kosten wird</translation>
    </message>
    <message>
      <source>What must speak for a class is a share from 0 to 1.</source>
      <translation>Was für eine Klasse sprechen muss, ist ein Anteil von 0 bis 1.</translation>
    </message>
    <message>
      <source>What of it</source>
      <translation>Was davon</translation>
    </message>
    <message>
      <source>What parted the classes most</source>
      <translation>Was die Klassen am meisten trennte</translation>
    </message>
    <message>
      <source>What the line estimates at every pixel of the picture across</source>
      <translation>Was die Gerade an jedem Pixel des waagerechten Bildes schätzt</translation>
    </message>
    <message>
      <source>What the quality band flags</source>
      <translation>Was das Qualitätsband kennzeichnet</translation>
    </message>
    <message>
      <source>What the season curve is of</source>
      <translation>Wovon die Saisonkurve ist</translation>
    </message>
    <message>
      <source>What the study says of “{}” is not complete; restore study.json from a copy.</source>
      <translation>Was die Studie über „{}“ sagt, ist unvollständig; stellen Sie study.json aus einer Kopie wieder her.</translation>
    </message>
    <message>
      <source>What these files seem to be.</source>
      <translation>Was diese Dateien zu sein scheinen.</translation>
    </message>
    <message>
      <source>What to compare</source>
      <translation>Was zu vergleichen ist</translation>
    </message>
    <message>
      <source>What to make</source>
      <translation>Was zu machen ist</translation>
    </message>
    <message>
      <source>What was changed in it by hand is kept as “{}”.</source>
      <translation>Was darin von Hand geändert wurde, ist als „{}“ aufbewahrt.</translation>
    </message>
    <message>
      <source>What was changed last could not be written to “%1”. Bring the disk back, free some space on it, or save a copy in another place; left now, it is lost.</source>
      <translation>Was zuletzt geändert wurde, konnte nicht nach „%1“ geschrieben werden. Bringen Sie den Datenträger zurück, schaffen Sie darauf Platz oder legen Sie eine Kopie an einem anderen Ort an; jetzt verlassen, ist es verloren.</translation>
    </message>
    <message>
      <source>What was found</source>
      <translation>Was gefunden wurde</translation>
    </message>
    <message>
      <source>What was here before, and what after?</source>
      <translation>Was war hier vorher, und was nachher?</translation>
    </message>
    <message>
      <source>What was learned</source>
      <translation>Was gelernt wurde</translation>
    </message>
    <message>
      <source>What was said of the scene “{}” is not complete; it stands as its file is.</source>
      <translation>Was über die Szene „{}“ gesagt wurde, ist unvollständig; sie steht so, wie ihre Datei ist.</translation>
    </message>
    <message>
      <source>When a class holds two covers (two peaks), or has few pixels: split the class or draw more.</source>
      <translation>Wenn eine Klasse zwei Bedeckungen enthält (zwei Gipfel) oder wenige Pixel hat: teilen Sie die Klasse, oder zeichnen Sie mehr.</translation>
    </message>
    <message>
      <source>When classes differ in brightness rather than in shape, as deep and shallow water do; and with features in decibels or of mixed units.</source>
      <translation>Wenn Klassen sich in der Helligkeit statt in der Form unterscheiden, wie tiefes und flaches Wasser; und bei Merkmalen in Dezibel oder gemischten Einheiten.</translation>
    </message>
    <message>
      <source>When one class is much wider than its neighbours: it takes their pixels. One covariance for all classes helps, and needs fewer pixels a class.</source>
      <translation>Wenn eine Klasse viel weiter als ihre Nachbarn ist: sie nimmt deren Pixel. Eine Kovarianz für alle Klassen hilft und braucht weniger Pixel je Klasse.</translation>
    </message>
    <message>
      <source>When one class is wide and its neighbour narrow, or when one feature has much larger numbers than the rest.</source>
      <translation>Wenn eine Klasse weit und ihr Nachbar eng ist, oder wenn ein Merkmal viel größere Zahlen als der Rest hat.</translation>
    </message>
    <message>
      <source>When one kind of cover is much wider or much rarer than the others: the wide one is cut into several, the rare one joins a neighbour.</source>
      <translation>Wenn eine Art von Bedeckung viel weiter oder viel seltener als die anderen ist: die weite wird zerschnitten, die seltene geht in einem Nachbarn auf.</translation>
    </message>
    <message>
      <source>Where</source>
      <translation>Wo</translation>
    </message>
    <message>
      <source>Where a method of another kind, a forest or else maximum likelihood, is sure of another class</source>
      <translation>Wo ein Verfahren anderer Art, ein Wald oder sonst Maximum Likelihood, sich einer anderen Klasse sicher ist</translation>
    </message>
    <message>
      <source>Where are the errors?</source>
      <translation>Wo sind die Fehler?</translation>
    </message>
    <message>
      <source>Where growth is thin, the brightness of the soil moves the plain index; the constant 0.5 takes most of that away. Needs true reflectance. Over dense growth it tells nothing more than the plain one.</source>
      <translation>Wo Bewuchs dünn ist, bewegt die Helligkeit des Bodens den einfachen Index; die Konstante 0,5 nimmt das meiste davon weg. Braucht echte Reflexion. Über dichtem Bewuchs sagt er nicht mehr als der einfache.</translation>
    </message>
    <message>
      <source>Where it is</source>
      <translation>Wo es ist</translation>
    </message>
    <message>
      <source>Where it lies against another</source>
      <translation>Wo es gegen ein anderes liegt</translation>
    </message>
    <message>
      <source>Where the chosen pixels lie</source>
      <translation>Wo die gewählten Pixel liegen</translation>
    </message>
    <message>
      <source>Where the errors are</source>
      <translation>Wo die Fehler sind</translation>
    </message>
    <message>
      <source>Where the pixels of the cluster lie</source>
      <translation>Wo die Pixel des Clusters liegen</translation>
    </message>
    <message>
      <source>Where the rows lie</source>
      <translation>Wo die Zeilen liegen</translation>
    </message>
    <message>
      <source>Where there was no training: it never doubts aloud and gives some class. Rare classes lose to common ones when their pixels are few.</source>
      <translation>Wo es kein Training gab: es zweifelt nie laut und gibt irgendeine Klasse. Seltene Klassen verlieren gegen häufige, wenn sie wenige Pixel haben.</translation>
    </message>
    <message>
      <source>Where they disagree</source>
      <translation>Wo sie sich widersprechen</translation>
    </message>
    <message>
      <source>Where to look next…</source>
      <translation>Wo als Nächstes hinzusehen ist…</translation>
    </message>
    <message>
      <source>Where you click in the view</source>
      <translation>Wo Sie in die Ansicht klicken</translation>
    </message>
    <message>
      <source>Whether a cell is empty is told by = "" or &lt;&gt; "".</source>
      <translation>Ob eine Zelle leer ist, fragt = "" oder &lt;&gt; "".</translation>
    </message>
    <message>
      <source>Which cards are shown</source>
      <translation>Welche Kärtchen zu sehen sind</translation>
    </message>
    <message>
      <source>Which one is better?</source>
      <translation>Welche ist besser?</translation>
    </message>
    <message>
      <source>Who</source>
      <translation>Wer</translation>
    </message>
    <message>
      <source>Who reports</source>
      <translation>Wer berichtet</translation>
    </message>
    <message>
      <source>Who?</source>
      <translation>Wer?</translation>
    </message>
    <message>
      <source>Why</source>
      <translation>Warum</translation>
    </message>
    <message>
      <source>Why?</source>
      <translation>Warum?</translation>
    </message>
    <message>
      <source>Wide</source>
      <translation>Weit</translation>
    </message>
    <message>
      <source>Wide dynamic range vegetation index</source>
      <translation>Vegetationsindex mit großem Dynamikbereich</translation>
    </message>
    <message>
      <source>Widen what is set aside</source>
      <translation>Ausgenommenes verbreitern</translation>
    </message>
    <message>
      <source>Wider than you want: %1.</source>
      <translation>Weiter, als Sie wollen: %1.</translation>
    </message>
    <message>
      <source>Width of the brush</source>
      <translation>Breite des Pinsels</translation>
    </message>
    <message>
      <source>Width of the line</source>
      <translation>Breite der Linie</translation>
    </message>
    <message>
      <source>Width of the window</source>
      <translation>Breite des Fensters</translation>
    </message>
    <message>
      <source>Window</source>
      <translation>Fenster</translation>
    </message>
    <message>
      <source>Window, pixels</source>
      <translation>Fenster, Pixel</translation>
    </message>
    <message>
      <source>With</source>
      <translation>Mit</translation>
    </message>
    <message>
      <source>With a split or merge distance that fits one part of the scene and not the other. It may swing between parting and joining until the passes are over.</source>
      <translation>Bei einem Abstand zum Teilen oder Vereinen, der zu einem Teil der Szene passt und zum anderen nicht. Es kann zwischen Teilen und Vereinen schwingen, bis die Durchgänge um sind.</translation>
    </message>
    <message>
      <source>With careless training near the borders, and far from all training, where it gives some class without a doubt.</source>
      <translation>Bei nachlässigem Training nahe den Grenzen, und fern von allem Training, wo es ohne Zweifel irgendeine Klasse gibt.</translation>
    </message>
    <message>
      <source>With many features, where everything is about equally far, and with careless training pixels: each speaks for its surroundings.</source>
      <translation>Bei vielen Merkmalen, wo alles etwa gleich fern ist, und bei nachlässigen Trainingspixeln: jedes spricht für seine Umgebung.</translation>
    </message>
    <message>
      <source>With the snow index it parts snow, bare ice and ice under debris. Green growth is high too: only inside glaciers.</source>
      <translation>Mit dem Schneeindex trennt er Schnee, blankes Eis und Eis unter Schutt. Grüner Bewuchs ist auch hoch: nur innerhalb von Gletschern.</translation>
    </message>
    <message>
      <source>Without a reference system an area would lie nowhere; give the scene one first.</source>
      <translation>Ohne Bezugssystem läge ein Gebiet nirgends; geben Sie der Szene zuerst eines.</translation>
    </message>
    <message>
      <source>Without a reference system patches have no area.</source>
      <translation>Ohne Bezugssystem haben Flächen keinen Inhalt.</translation>
    </message>
    <message>
      <source>Without a reference system the places have no longitude and latitude for KML.</source>
      <translation>Ohne Bezugssystem haben die Orte für KML keine Länge und Breite.</translation>
    </message>
    <message>
      <source>Without a reference system the points would lie nowhere.</source>
      <translation>Ohne Bezugssystem lägen die Punkte nirgends.</translation>
    </message>
    <message>
      <source>Woebbecke et al. 1995</source>
      <translation>Woebbecke et al. 1995</translation>
    </message>
    <message>
      <source>Write a STAC catalogue of the scenes…</source>
      <translation>Einen STAC-Katalog der Szenen schreiben…</translation>
    </message>
    <message>
      <source>Write a rule first.</source>
      <translation>Schreiben Sie zuerst eine Regel.</translation>
    </message>
    <message>
      <source>Write it into a folder…</source>
      <translation>In einen Ordner schreiben…</translation>
    </message>
    <message>
      <source>Write polygons…</source>
      <translation>Polygone schreiben…</translation>
    </message>
    <message>
      <source>Write the map</source>
      <translation>Die Karte schreiben</translation>
    </message>
    <message>
      <source>Write the map…</source>
      <translation>Die Karte schreiben…</translation>
    </message>
    <message>
      <source>Write the report</source>
      <translation>Den Bericht schreiben</translation>
    </message>
    <message>
      <source>Written in</source>
      <translation>Geschrieben in</translation>
    </message>
    <message>
      <source>X</source>
      <translation>X</translation>
    </message>
    <message>
      <source>Xu 2006</source>
      <translation>Xu 2006</translation>
    </message>
    <message>
      <source>Xu 2008</source>
      <translation>Xu 2008</translation>
    </message>
    <message>
      <source>Year-month-day, such as 2031-05-01; empty for any</source>
      <translation>Jahr-Monat-Tag, etwa 2031-05-01; leer für jeden</translation>
    </message>
    <message>
      <source>Yellowing</source>
      <translation>Vergilbung</translation>
    </message>
    <message>
      <source>Yellowing or dry</source>
      <translation>Vergilbend oder trocken</translation>
    </message>
    <message>
      <source>You stopped waiting. Change something of the search to ask again.</source>
      <translation>Sie haben aufgehört zu warten. Ändern Sie etwas an der Suche, um noch einmal zu fragen.</translation>
    </message>
    <message>
      <source>Your name or initials</source>
      <translation>Ihr Name oder Kürzel</translation>
    </message>
    <message>
      <source>Yours</source>
      <translation>Ihre</translation>
    </message>
    <message>
      <source>Zany Patch %1</source>
      <translation>Zany Patch %1</translation>
    </message>
    <message>
      <source>Zero means no signal in every feature, as in reflectance. It suits many bands and uneven light.</source>
      <translation>Null bedeutet in jedem Merkmal kein Signal, wie bei Reflexion. Es passt zu vielen Bändern und ungleichem Licht.</translation>
    </message>
    <message>
      <source>Zha, Gao and Ni 2003</source>
      <translation>Zha, Gao und Ni 2003</translation>
    </message>
    <message>
      <source>` held</source>
      <translation>` gehalten</translation>
    </message>
    <message>
      <source>a band by its role, number or name</source>
      <translation>ein Band nach Rolle, Nummer oder Name</translation>
    </message>
    <message>
      <source>a class map</source>
      <translation>eine Klassenkarte</translation>
    </message>
    <message>
      <source>a click at the cross, once arrow keys or Space brought it</source>
      <translation>ein Klick am Kreuz, sobald Pfeiltasten oder Leertaste es zeigen</translation>
    </message>
    <message>
      <source>a column that holds the same</source>
      <translation>eine Spalte, die dasselbe enthält</translation>
    </message>
    <message>
      <source>a draw of pixels</source>
      <translation>eine Ziehung der Pixel</translation>
    </message>
    <message>
      <source>a fifth of them</source>
      <translation>ein Fünftel davon</translation>
    </message>
    <message>
      <source>a file of signatures…</source>
      <translation>eine Datei mit Signaturen…</translation>
    </message>
    <message>
      <source>a formula, or a text in quotes</source>
      <translation>eine Formel oder ein Text in Anführungszeichen</translation>
    </message>
    <message>
      <source>a map that is gone</source>
      <translation>eine Karte, die fort ist</translation>
    </message>
    <message>
      <source>a new class</source>
      <translation>eine neue Klasse</translation>
    </message>
    <message>
      <source>a number</source>
      <translation>eine Zahl</translation>
    </message>
    <message>
      <source>a number above {}</source>
      <translation>eine Zahl über {}</translation>
    </message>
    <message>
      <source>a number above {} and at most {}</source>
      <translation>eine Zahl über {} und höchstens {}</translation>
    </message>
    <message>
      <source>a number for each class</source>
      <translation>eine Zahl für jede Klasse</translation>
    </message>
    <message>
      <source>a quantity</source>
      <translation>eine Größe</translation>
    </message>
    <message>
      <source>a rectangle drawn there</source>
      <translation>ein dort gezogenes Rechteck</translation>
    </message>
    <message>
      <source>a row a place</source>
      <translation>eine Zeile je Ort</translation>
    </message>
    <message>
      <source>a row a place and date</source>
      <translation>eine Zeile je Ort und Datum</translation>
    </message>
    <message>
      <source>a row a zone</source>
      <translation>eine Zeile je Zone</translation>
    </message>
    <message>
      <source>a scene</source>
      <translation>eine Szene</translation>
    </message>
    <message>
      <source>a side of</source>
      <translation>eine Seite von</translation>
    </message>
    <message>
      <source>a table</source>
      <translation>eine Tabelle</translation>
    </message>
    <message>
      <source>a tenth of them</source>
      <translation>ein Zehntel davon</translation>
    </message>
    <message>
      <source>a text</source>
      <translation>ein Text</translation>
    </message>
    <message>
      <source>a whole number</source>
      <translation>eine ganze Zahl</translation>
    </message>
    <message>
      <source>a whole number from {} to {}</source>
      <translation>eine ganze Zahl von {} bis {}</translation>
    </message>
    <message>
      <source>about so many</source>
      <translation>etwa so viele</translation>
    </message>
    <message>
      <source>above 0.9</source>
      <translation>über 0,9</translation>
    </message>
    <message>
      <source>across</source>
      <translation>waagerecht</translation>
    </message>
    <message>
      <source>after Key and Benson 2006, with the shorter short-wave infrared in place of the near infrared</source>
      <translation>nach Key und Benson 2006, mit dem kürzeren kurzwelligen Infrarot statt des nahen Infrarots</translation>
    </message>
    <message>
      <source>again</source>
      <translation>noch einmal</translation>
    </message>
    <message>
      <source>all</source>
      <translation>alle</translation>
    </message>
    <message>
      <source>all alike</source>
      <translation>alle gleich</translation>
    </message>
    <message>
      <source>all of it</source>
      <translation>alles davon</translation>
    </message>
    <message>
      <source>all pixels</source>
      <translation>alle Pixel</translation>
    </message>
    <message>
      <source>all points</source>
      <translation>alle Punkte</translation>
    </message>
    <message>
      <source>all rows</source>
      <translation>alle Zeilen</translation>
    </message>
    <message>
      <source>all that are named here</source>
      <translation>alle hier genannten</translation>
    </message>
    <message>
      <source>allocation</source>
      <translation>Verteilung</translation>
    </message>
    <message>
      <source>almost perfect</source>
      <translation>fast vollkommen</translation>
    </message>
    <message>
      <source>an index of the book</source>
      <translation>ein Index des Buches</translation>
    </message>
    <message>
      <source>an outline</source>
      <translation>ein Umriss</translation>
    </message>
    <message>
      <source>and no class worse than</source>
      <translation>und keine Klasse schlechter als</translation>
    </message>
    <message>
      <source>another class</source>
      <translation>eine andere Klasse</translation>
    </message>
    <message>
      <source>another class…</source>
      <translation>eine andere Klasse…</translation>
    </message>
    <message>
      <source>answers at once</source>
      <translation>antwortet sofort</translation>
    </message>
    <message>
      <source>any</source>
      <translation>beliebig</translation>
    </message>
    <message>
      <source>any class</source>
      <translation>jede Klasse</translation>
    </message>
    <message>
      <source>any sensor</source>
      <translation>jeder Sensor</translation>
    </message>
    <message>
      <source>anywhere</source>
      <translation>irgendwo</translation>
    </message>
    <message>
      <source>apart</source>
      <translation>getrennt</translation>
    </message>
    <message>
      <source>apart, and kept in the map</source>
      <translation>getrennt, und in der Karte behalten</translation>
    </message>
    <message>
      <source>apart, mapped as their class</source>
      <translation>getrennt, kartiert als ihre Klasse</translation>
    </message>
    <message>
      <source>are labelled here</source>
      <translation>werden hier bestimmt</translation>
    </message>
    <message>
      <source>are those of the map “%1”</source>
      <translation>sind die der Karte „%1“</translation>
    </message>
    <message>
      <source>are those of the polygons “%1”</source>
      <translation>sind die der Polygone „%1“</translation>
    </message>
    <message>
      <source>areas</source>
      <translation>Gebiete</translation>
    </message>
    <message>
      <source>areas by date</source>
      <translation>Flächen nach Datum</translation>
    </message>
    <message>
      <source>arrow keys</source>
      <translation>Pfeiltasten</translation>
    </message>
    <message>
      <source>as it is</source>
      <translation>wie es ist</translation>
    </message>
    <message>
      <source>as one with their class</source>
      <translation>als eine mit ihrer Klasse</translation>
    </message>
    <message>
      <source>at a border of classes</source>
      <translation>an einer Klassengrenze</translation>
    </message>
    <message>
      <source>at most </source>
      <translation>höchstens </translation>
    </message>
    <message>
      <source>at which date first</source>
      <translation>an welchem Datum zuerst</translation>
    </message>
    <message>
      <source>at which date last</source>
      <translation>an welchem Datum zuletzt</translation>
    </message>
    <message>
      <source>back</source>
      <translation>hinten</translation>
    </message>
    <message>
      <source>back to training</source>
      <translation>zurück zum Training</translation>
    </message>
    <message>
      <source>backscatter, decibels</source>
      <translation>Rückstreuung, Dezibel</translation>
    </message>
    <message>
      <source>backscatter, power</source>
      <translation>Rückstreuung, Leistung</translation>
    </message>
    <message>
      <source>balanced</source>
      <translation>ausgewogen</translation>
    </message>
    <message>
      <source>band</source>
      <translation>Band</translation>
    </message>
    <message>
      <source>band by band: the first three</source>
      <translation>Band für Band: die ersten drei</translation>
    </message>
    <message>
      <source>bands of %1</source>
      <translation>Bänder von %1</translation>
    </message>
    <message>
      <source>bare soil</source>
      <translation>offener Boden</translation>
    </message>
    <message>
      <source>bare-soil false colour</source>
      <translation>Falschfarben für offenen Boden</translation>
    </message>
    <message>
      <source>below 0.5</source>
      <translation>unter 0,5</translation>
    </message>
    <message>
      <source>best by</source>
      <translation>am besten durch</translation>
    </message>
    <message>
      <source>between four pixels</source>
      <translation>zwischen vier Pixeln</translation>
    </message>
    <message>
      <source>blue channel</source>
      <translation>Blaukanal</translation>
    </message>
    <message>
      <source>breaks off</source>
      <translation>bricht ab</translation>
    </message>
    <message>
      <source>brighter</source>
      <translation>heller</translation>
    </message>
    <message>
      <source>by date</source>
      <translation>nach Datum</translation>
    </message>
    <message>
      <source>by day of the year, years over each other</source>
      <translation>nach Tag des Jahres, Jahre übereinander</translation>
    </message>
    <message>
      <source>by days since</source>
      <translation>nach Tagen seit</translation>
    </message>
    <message>
      <source>by distance to a border of classes</source>
      <translation>nach Abstand zu einer Klassengrenze</translation>
    </message>
    <message>
      <source>by hand</source>
      <translation>von Hand</translation>
    </message>
    <message>
      <source>by how sure the map is</source>
      <translation>danach, wie sicher die Karte ist</translation>
    </message>
    <message>
      <source>by region, of “%1”</source>
      <translation>nach Region, aus „%1“</translation>
    </message>
    <message>
      <source>by the area of each class</source>
      <translation>nach der Fläche jeder Klasse</translation>
    </message>
    <message>
      <source>by the share that lies inside</source>
      <translation>nach dem Anteil, der innen liegt</translation>
    </message>
    <message>
      <source>by the spread</source>
      <translation>durch die Streuung</translation>
    </message>
    <message>
      <source>cannot be one scene</source>
      <translation>kann keine Szene sein</translation>
    </message>
    <message>
      <source>cannot be read</source>
      <translation>kann nicht gelesen werden</translation>
    </message>
    <message>
      <source>cells</source>
      <translation>Zellen</translation>
    </message>
    <message>
      <source>choose a cell</source>
      <translation>eine Zelle wählen</translation>
    </message>
    <message>
      <source>choose all rows, none</source>
      <translation>alle Zeilen wählen, keine</translation>
    </message>
    <message>
      <source>choose an area</source>
      <translation>ein Gebiet wählen</translation>
    </message>
    <message>
      <source>choose its row or column</source>
      <translation>seine Zeile oder Spalte wählen</translation>
    </message>
    <message>
      <source>choose the rows of that place</source>
      <translation>die Zeilen dieses Ortes wählen</translation>
    </message>
    <message>
      <source>choose the rows of what lies there</source>
      <translation>die Zeilen dessen wählen, was dort liegt</translation>
    </message>
    <message>
      <source>chosen</source>
      <translation>gewählt</translation>
    </message>
    <message>
      <source>cirrus</source>
      <translation>Cirrus</translation>
    </message>
    <message>
      <source>cirrus, average</source>
      <translation>Cirrus, mittel</translation>
    </message>
    <message>
      <source>cirrus, small</source>
      <translation>Cirrus, klein</translation>
    </message>
    <message>
      <source>class</source>
      <translation>Klasse</translation>
    </message>
    <message>
      <source>class %1</source>
      <translation>Klasse %1</translation>
    </message>
    <message>
      <source>class codes</source>
      <translation>Klassencodes</translation>
    </message>
    <message>
      <source>class map</source>
      <translation>Klassenkarte</translation>
    </message>
    <message>
      <source>clear</source>
      <translation>klar</translation>
    </message>
    <message>
      <source>clear air</source>
      <translation>klare Luft</translation>
    </message>
    <message>
      <source>click</source>
      <translation>Klick</translation>
    </message>
    <message>
      <source>click in the key</source>
      <translation>Klick in den Schlüssel</translation>
    </message>
    <message>
      <source>click in the picture</source>
      <translation>Klick in das Bild</translation>
    </message>
    <message>
      <source>click on a column's head</source>
      <translation>Klick auf den Kopf einer Spalte</translation>
    </message>
    <message>
      <source>click on a name</source>
      <translation>Klick auf einen Namen</translation>
    </message>
    <message>
      <source>click, P</source>
      <translation>Klick, P</translation>
    </message>
    <message>
      <source>close the area being drawn</source>
      <translation>das Gebiet schließen, das gezeichnet wird</translation>
    </message>
    <message>
      <source>closer, farther</source>
      <translation>näher, ferner</translation>
    </message>
    <message>
      <source>cloud</source>
      <translation>Wolke</translation>
    </message>
    <message>
      <source>cloud shadow</source>
      <translation>Wolkenschatten</translation>
    </message>
    <message>
      <source>cloud, high probability</source>
      <translation>Wolke, hohe Wahrscheinlichkeit</translation>
    </message>
    <message>
      <source>cloud, medium probability</source>
      <translation>Wolke, mittlere Wahrscheinlichkeit</translation>
    </message>
    <message>
      <source>clusters</source>
      <translation>Cluster</translation>
    </message>
    <message>
      <source>column %1  row %2</source>
      <translation>Spalte %1  Zeile %2</translation>
    </message>
    <message>
      <source>comma</source>
      <translation>Komma</translation>
    </message>
    <message>
      <source>command</source>
      <translation>Befehl</translation>
    </message>
    <message>
      <source>commission</source>
      <translation>Kommission</translation>
    </message>
    <message>
      <source>confidence</source>
      <translation>Sicherheit</translation>
    </message>
    <message>
      <source>confusion-matrix</source>
      <translation>Fehlermatrix</translation>
    </message>
    <message>
      <source>contrast</source>
      <translation>Kontrast</translation>
    </message>
    <message>
      <source>copy the chosen rows, or all</source>
      <translation>die gewählten Zeilen kopieren, oder alle</translation>
    </message>
    <message>
      <source>correlation</source>
      <translation>Korrelation</translation>
    </message>
    <message>
      <source>cosine alone</source>
      <translation>nur der Kosinus</translation>
    </message>
    <message>
      <source>curtain, side by side, loupe</source>
      <translation>Vorhang, nebeneinander, Lupe</translation>
    </message>
    <message>
      <source>curved (radial)</source>
      <translation>gekrümmt (radial)</translation>
    </message>
    <message>
      <source>dark area</source>
      <translation>dunkle Fläche</translation>
    </message>
    <message>
      <source>darker</source>
      <translation>dunkler</translation>
    </message>
    <message>
      <source>date</source>
      <translation>Datum</translation>
    </message>
    <message>
      <source>day of the highest</source>
      <translation>Tag des höchsten</translation>
    </message>
    <message>
      <source>days</source>
      <translation>Tage</translation>
    </message>
    <message>
      <source>degrees</source>
      <translation>Grad</translation>
    </message>
    <message>
      <source>dilated cloud</source>
      <translation>erweiterte Wolke</translation>
    </message>
    <message>
      <source>disputed</source>
      <translation>strittig</translation>
    </message>
    <message>
      <source>distance</source>
      <translation>Abstand</translation>
    </message>
    <message>
      <source>does not vary</source>
      <translation>ändert sich nicht</translation>
    </message>
    <message>
      <source>down</source>
      <translation>nach unten</translation>
    </message>
    <message>
      <source>drag in the chart</source>
      <translation>im Diagramm ziehen</translation>
    </message>
    <message>
      <source>drag, arrow keys</source>
      <translation>ziehen, Pfeiltasten</translation>
    </message>
    <message>
      <source>e to this power</source>
      <translation>e hoch dies</translation>
    </message>
    <message>
      <source>east</source>
      <translation>Osten</translation>
    </message>
    <message>
      <source>entropy</source>
      <translation>Entropie</translation>
    </message>
    <message>
      <source>equal</source>
      <translation>gleich</translation>
    </message>
    <message>
      <source>equal counts</source>
      <translation>gleiche Anzahlen</translation>
    </message>
    <message>
      <source>equal steps</source>
      <translation>gleiche Schritte</translation>
    </message>
    <message>
      <source>equal, or code:share such as 1:0.4,2:0.6, each share above 0</source>
      <translation>gleich, oder Code:Anteil wie 1:0.4,2:0.6, jeder Anteil über 0</translation>
    </message>
    <message>
      <source>estimated ha</source>
      <translation>geschätzte ha</translation>
    </message>
    <message>
      <source>every class</source>
      <translation>jede Klasse</translation>
    </message>
    <message>
      <source>everywhere</source>
      <translation>überall</translation>
    </message>
    <message>
      <source>faces east</source>
      <translation>schaut nach Osten</translation>
    </message>
    <message>
      <source>faces north</source>
      <translation>schaut nach Norden</translation>
    </message>
    <message>
      <source>fair</source>
      <translation>mäßig</translation>
    </message>
    <message>
      <source>farther inside</source>
      <translation>weiter innen</translation>
    </message>
    <message>
      <source>feature</source>
      <translation>Merkmal</translation>
    </message>
    <message>
      <source>fetched</source>
      <translation>geholt</translation>
    </message>
    <message>
      <source>field in %1</source>
      <translation>Feld in %1</translation>
    </message>
    <message>
      <source>fill</source>
      <translation>leer</translation>
    </message>
    <message>
      <source>filled</source>
      <translation>gefüllt</translation>
    </message>
    <message>
      <source>find anything</source>
      <translation>alles finden</translation>
    </message>
    <message>
      <source>fire</source>
      <translation>Feuer</translation>
    </message>
    <message>
      <source>first day</source>
      <translation>erster Tag</translation>
    </message>
    <message>
      <source>fit, pixel for pixel</source>
      <translation>einpassen, Pixel für Pixel</translation>
    </message>
    <message>
      <source>flags</source>
      <translation>Kennzeichen</translation>
    </message>
    <message>
      <source>from–to</source>
      <translation>von–bis</translation>
    </message>
    <message>
      <source>front</source>
      <translation>vorn</translation>
    </message>
    <message>
      <source>give it a name.</source>
      <translation>geben Sie ihm einen Namen.</translation>
    </message>
    <message>
      <source>given the right class in training. Neighbouring pixels are alike, so this is no accuracy assessment. What parted the classes most:</source>
      <translation>im Training richtig eingeteilt. Benachbarte Pixel gleichen sich; daher ist das keine Genauigkeitsprüfung. Was die Klassen am meisten trennte:</translation>
    </message>
    <message>
      <source>gives</source>
      <translation>gibt</translation>
    </message>
    <message>
      <source>go to a stage</source>
      <translation>zu einer Stufe gehen</translation>
    </message>
    <message>
      <source>good</source>
      <translation>gut</translation>
    </message>
    <message>
      <source>green channel</source>
      <translation>Grünkanal</translation>
    </message>
    <message>
      <source>greenest pixel</source>
      <translation>grünstes Pixel</translation>
    </message>
    <message>
      <source>ha</source>
      <translation>ha</translation>
    </message>
    <message>
      <source>half of them</source>
      <translation>die Hälfte davon</translation>
    </message>
    <message>
      <source>hazy</source>
      <translation>dunstig</translation>
    </message>
    <message>
      <source>health</source>
      <translation>Gesundheit</translation>
    </message>
    <message>
      <source>help</source>
      <translation>Hilfe</translation>
    </message>
    <message>
      <source>here</source>
      <translation>hier</translation>
    </message>
    <message>
      <source>hexagons</source>
      <translation>Sechsecke</translation>
    </message>
    <message>
      <source>highest</source>
      <translation>höchster</translation>
    </message>
    <message>
      <source>homogeneity</source>
      <translation>Homogenität</translation>
    </message>
    <message>
      <source>how clearly it wins from the other classes</source>
      <translation>wie klar sie gegen die anderen Klassen gewinnt</translation>
    </message>
    <message>
      <source>how many times</source>
      <translation>wie oft</translation>
    </message>
    <message>
      <source>how much nearer it is than the other classes</source>
      <translation>wie viel näher sie ist als die anderen Klassen</translation>
    </message>
    <message>
      <source>how the picture is shown</source>
      <translation>wie das Bild gezeigt wird</translation>
    </message>
    <message>
      <source>in %1</source>
      <translation>in %1</translation>
    </message>
    <message>
      <source>in all</source>
      <translation>im Ganzen</translation>
    </message>
    <message>
      <source>in blocks drawn first</source>
      <translation>in zuerst gezogenen Blöcken</translation>
    </message>
    <message>
      <source>in each</source>
      <translation>in jeder</translation>
    </message>
    <message>
      <source>in each class</source>
      <translation>in jeder Klasse</translation>
    </message>
    <message>
      <source>in formulas</source>
      <translation>in Formeln</translation>
    </message>
    <message>
      <source>in proportion</source>
      <translation>anteilig</translation>
    </message>
    <message>
      <source>in the study</source>
      <translation>in der Studie</translation>
    </message>
    <message>
      <source>in the study area</source>
      <translation>im Untersuchungsgebiet</translation>
    </message>
    <message>
      <source>index</source>
      <translation>Index</translation>
    </message>
    <message>
      <source>index by hand</source>
      <translation>Index von Hand</translation>
    </message>
    <message>
      <source>internal cloud</source>
      <translation>interne Wolke</translation>
    </message>
    <message>
      <source>internal snow</source>
      <translation>interner Schnee</translation>
    </message>
    <message>
      <source>is</source>
      <translation>ist</translation>
    </message>
    <message>
      <source>is down</source>
      <translation>ist aus</translation>
    </message>
    <message>
      <source>is slow</source>
      <translation>ist langsam</translation>
    </message>
    <message>
      <source>its files are gone</source>
      <translation>seine Dateien sind fort</translation>
    </message>
    <message>
      <source>its last corner back, give it up</source>
      <translation>seine letzte Ecke zurück, aufgeben</translation>
    </message>
    <message>
      <source>joined by corners too</source>
      <translation>auch über Ecken verbunden</translation>
    </message>
    <message>
      <source>joined by sides</source>
      <translation>über Seiten verbunden</translation>
    </message>
    <message>
      <source>k-means</source>
      <translation>k-Means</translation>
    </message>
    <message>
      <source>kappa</source>
      <translation>Kappa</translation>
    </message>
    <message>
      <source>km²</source>
      <translation>km²</translation>
    </message>
    <message>
      <source>labels</source>
      <translation>Angaben</translation>
    </message>
    <message>
      <source>last day</source>
      <translation>letzter Tag</translation>
    </message>
    <message>
      <source>later</source>
      <translation>später</translation>
    </message>
    <message>
      <source>least</source>
      <translation>mindestens</translation>
    </message>
    <message>
      <source>least sure</source>
      <translation>am unsichersten</translation>
    </message>
    <message>
      <source>leave it out</source>
      <translation>weglassen</translation>
    </message>
    <message>
      <source>leave out</source>
      <translation>weglassen</translation>
    </message>
    <message>
      <source>left out</source>
      <translation>weggelassen</translation>
    </message>
    <message>
      <source>let the chosen range of the histogram go</source>
      <translation>den gewählten Bereich des Histogramms loslassen</translation>
    </message>
    <message>
      <source>logarithm to base 10</source>
      <translation>Logarithmus zur Basis 10</translation>
    </message>
    <message>
      <source>looked at</source>
      <translation>angesehen</translation>
    </message>
    <message>
      <source>lowest</source>
      <translation>niedrigster</translation>
    </message>
    <message>
      <source>majority</source>
      <translation>Mehrheit</translation>
    </message>
    <message>
      <source>make the index, in the formula</source>
      <translation>den Index machen, in der Formel</translation>
    </message>
    <message>
      <source>makes a row for each</source>
      <translation>macht eine Zeile für jedes</translation>
    </message>
    <message>
      <source>map</source>
      <translation>Karte</translation>
    </message>
    <message>
      <source>map %1, reference %2: %3</source>
      <translation>Karte %1, Referenz %2: %3</translation>
    </message>
    <message>
      <source>map units</source>
      <translation>Karteneinheiten</translation>
    </message>
    <message>
      <source>mapped ha</source>
      <translation>kartierte ha</translation>
    </message>
    <message>
      <source>margin of user's accuracy</source>
      <translation>Spanne der Nutzergenauigkeit</translation>
    </message>
    <message>
      <source>mean</source>
      <translation>Mittel</translation>
    </message>
    <message>
      <source>mean_in(a, 5) is the mean of the 5 x 5 pixels around</source>
      <translation>mean_in(a, 5) ist das Mittel der 5 x 5 Pixel ringsum</translation>
    </message>
    <message>
      <source>median</source>
      <translation>Median</translation>
    </message>
    <message>
      <source>method</source>
      <translation>Verfahren</translation>
    </message>
    <message>
      <source>missing</source>
      <translation>fehlend</translation>
    </message>
    <message>
      <source>mixed</source>
      <translation>gemischt</translation>
    </message>
    <message>
      <source>mixed: its two classes follow</source>
      <translation>gemischt: ihre zwei Klassen folgen</translation>
    </message>
    <message>
      <source>moderate</source>
      <translation>mittelmäßig</translation>
    </message>
    <message>
      <source>moderate haze</source>
      <translation>mäßiger Dunst</translation>
    </message>
    <message>
      <source>more or fewer</source>
      <translation>mehr oder weniger</translation>
    </message>
    <message>
      <source>more than %1</source>
      <translation>mehr als %1</translation>
    </message>
    <message>
      <source>most</source>
      <translation>meist</translation>
    </message>
    <message>
      <source>most like</source>
      <translation>am ähnlichsten</translation>
    </message>
    <message>
      <source>most unlike</source>
      <translation>am unähnlichsten</translation>
    </message>
    <message>
      <source>move the chosen class in the legend</source>
      <translation>die gewählte Klasse in der Legende bewegen</translation>
    </message>
    <message>
      <source>move the chosen threshold</source>
      <translation>den gewählten Schwellenwert bewegen</translation>
    </message>
    <message>
      <source>move the curtain, with Shift finer</source>
      <translation>den Vorhang schieben, mit Umschalt feiner</translation>
    </message>
    <message>
      <source>m² in patches of %1</source>
      <translation>m² in Flächen von %1</translation>
    </message>
    <message>
      <source>n %1</source>
      <translation>n %1</translation>
    </message>
    <message>
      <source>name</source>
      <translation>Name</translation>
    </message>
    <message>
      <source>natural</source>
      <translation>natürlich</translation>
    </message>
    <message>
      <source>natural colour</source>
      <translation>natürliche Farben</translation>
    </message>
    <message>
      <source>ndiff(a, b) is (a − b) / (a + b)</source>
      <translation>ndiff(a, b) ist (a − b) / (a + b)</translation>
    </message>
    <message>
      <source>nearest %1, %2 spreads away</source>
      <translation>am nächsten %1, %2 Streuungen entfernt</translation>
    </message>
    <message>
      <source>nearest, in its spreads</source>
      <translation>nächste, in ihren Streuungen</translation>
    </message>
    <message>
      <source>never: every pixel gets a class</source>
      <translation>nie: jedes Pixel bekommt eine Klasse</translation>
    </message>
    <message>
      <source>new study, open one</source>
      <translation>neue Studie, eine öffnen</translation>
    </message>
    <message>
      <source>next cluster</source>
      <translation>nächster Cluster</translation>
    </message>
    <message>
      <source>next without a label</source>
      <translation>weiter ohne Angabe</translation>
    </message>
    <message>
      <source>nir a</source>
      <translation>nir a</translation>
    </message>
    <message>
      <source>nm</source>
      <translation>nm</translation>
    </message>
    <message>
      <source>no</source>
      <translation>kein</translation>
    </message>
    <message>
      <source>no class</source>
      <translation>keine Klasse</translation>
    </message>
    <message>
      <source>no data</source>
      <translation>keine Daten</translation>
    </message>
    <message>
      <source>no date</source>
      <translation>kein Datum</translation>
    </message>
    <message>
      <source>no field</source>
      <translation>kein Feld</translation>
    </message>
    <message>
      <source>no label</source>
      <translation>keine Angabe</translation>
    </message>
    <message>
      <source>no map</source>
      <translation>keine Karte</translation>
    </message>
    <message>
      <source>no role</source>
      <translation>keine Rolle</translation>
    </message>
    <message>
      <source>no subclass</source>
      <translation>keine Unterklasse</translation>
    </message>
    <message>
      <source>none</source>
      <translation>keine</translation>
    </message>
    <message>
      <source>none yet</source>
      <translation>noch keine</translation>
    </message>
    <message>
      <source>none, new points</source>
      <translation>keine, neue Punkte</translation>
    </message>
    <message>
      <source>none: roles as below</source>
      <translation>keine: Rollen wie unten</translation>
    </message>
    <message>
      <source>none: roles set below</source>
      <translation>keine: Rollen unten gesetzt</translation>
    </message>
    <message>
      <source>north</source>
      <translation>Norden</translation>
    </message>
    <message>
      <source>not done</source>
      <translation>nicht fertig</translation>
    </message>
    <message>
      <source>not known</source>
      <translation>nicht bekannt</translation>
    </message>
    <message>
      <source>not named</source>
      <translation>nicht benannt</translation>
    </message>
    <message>
      <source>not named any more</source>
      <translation>nicht mehr benannt</translation>
    </message>
    <message>
      <source>not named yet</source>
      <translation>noch nicht benannt</translation>
    </message>
    <message>
      <source>not saved</source>
      <translation>nicht gespeichert</translation>
    </message>
    <message>
      <source>not sure</source>
      <translation>nicht sicher</translation>
    </message>
    <message>
      <source>not vegetated</source>
      <translation>nicht bewachsen</translation>
    </message>
    <message>
      <source>note</source>
      <translation>Notiz</translation>
    </message>
    <message>
      <source>nothing</source>
      <translation>nichts</translation>
    </message>
    <message>
      <source>nothing set aside</source>
      <translation>nichts ausgenommen</translation>
    </message>
    <message>
      <source>nothing: no class</source>
      <translation>nichts: keine Klasse</translation>
    </message>
    <message>
      <source>of</source>
      <translation>von</translation>
    </message>
    <message>
      <source>of all classes</source>
      <translation>aller Klassen</translation>
    </message>
    <message>
      <source>of each class</source>
      <translation>jeder Klasse</translation>
    </message>
    <message>
      <source>of the 3 × 3 pixels around it</source>
      <translation>der 3 × 3 Pixel um ihn</translation>
    </message>
    <message>
      <source>of the area</source>
      <translation>der Fläche</translation>
    </message>
    <message>
      <source>of the map</source>
      <translation>der Karte</translation>
    </message>
    <message>
      <source>of the most</source>
      <translation>der häufigsten</translation>
    </message>
    <message>
      <source>of the pixel</source>
      <translation>des Pixels</translation>
    </message>
    <message>
      <source>of the pixels, an indication only.</source>
      <translation>der Pixel, nur ein Hinweis.</translation>
    </message>
    <message>
      <source>of the points are right. They are the centres of cells, which no chance chose, so this accuracy has no interval.</source>
      <translation>der Punkte sind richtig. Sie sind die Mitten von Zellen, die kein Zufall gewählt hat; diese Genauigkeit hat daher kein Intervall.</translation>
    </message>
    <message>
      <source>of the points are right. They were put down by hand and are no random sample, so this is no accuracy of the whole map, and it has no interval.</source>
      <translation>der Punkte sind richtig. Sie wurden von Hand gesetzt und sind keine Zufallsstichprobe; das ist daher keine Genauigkeit der ganzen Karte und hat kein Intervall.</translation>
    </message>
    <message>
      <source>offset</source>
      <translation>Versatz</translation>
    </message>
    <message>
      <source>omission</source>
      <translation>Auslassung</translation>
    </message>
    <message>
      <source>one class alone; right click hides it</source>
      <translation>eine Klasse allein; Rechtsklick blendet sie aus</translation>
    </message>
    <message>
      <source>one of {}</source>
      <translation>eines von {}</translation>
    </message>
    <message>
      <source>opaque cloud</source>
      <translation>dichte Wolke</translation>
    </message>
    <message>
      <source>or</source>
      <translation>oder</translation>
    </message>
    <message>
      <source>order the rows; right click changes the column</source>
      <translation>die Zeilen ordnen; Rechtsklick ändert die Spalte</translation>
    </message>
    <message>
      <source>other picture</source>
      <translation>anderes Bild</translation>
    </message>
    <message>
      <source>out of date</source>
      <translation>veraltet</translation>
    </message>
    <message>
      <source>outline</source>
      <translation>Umriss</translation>
    </message>
    <message>
      <source>overall</source>
      <translation>gesamt</translation>
    </message>
    <message>
      <source>overall accuracy, 95 % interval %1 to %2 %.</source>
      <translation>Gesamtgenauigkeit, 95-%-Intervall %1 bis %2 %.</translation>
    </message>
    <message>
      <source>overall accuracy. The points lie in blocks and are more alike than single ones, so an interval as for single points would be too narrow; none is told.</source>
      <translation>Gesamtgenauigkeit. Die Punkte liegen in Blöcken und gleichen sich mehr als einzelne; ein Intervall wie für einzelne Punkte wäre zu eng, daher ist keines angegeben.</translation>
    </message>
    <message>
      <source>p below 0.0001</source>
      <translation>p unter 0,0001</translation>
    </message>
    <message>
      <source>pan, with Shift finer</source>
      <translation>verschieben, mit Umschalt feiner</translation>
    </message>
    <message>
      <source>patches</source>
      <translation>Flächen</translation>
    </message>
    <message>
      <source>patches of %1</source>
      <translation>Flächen von %1</translation>
    </message>
    <message>
      <source>pause</source>
      <translation>Pause</translation>
    </message>
    <message>
      <source>pin the profile of a place</source>
      <translation>das Profil eines Ortes anheften</translation>
    </message>
    <message>
      <source>pixel</source>
      <translation>Pixel</translation>
    </message>
    <message>
      <source>pixels</source>
      <translation>Pixel</translation>
    </message>
    <message>
      <source>pixels of the layer</source>
      <translation>Pixel der Ebene</translation>
    </message>
    <message>
      <source>place</source>
      <translation>Ort</translation>
    </message>
    <message>
      <source>place: the largest overlap</source>
      <translation>Ort: die größte Überdeckung</translation>
    </message>
    <message>
      <source>place: the nearest, with its distance</source>
      <translation>Ort: das Nächste, mit seinem Abstand</translation>
    </message>
    <message>
      <source>place: within a polygon of it</source>
      <translation>Ort: in einem Polygon davon</translation>
    </message>
    <message>
      <source>point</source>
      <translation>Punkt</translation>
    </message>
    <message>
      <source>points</source>
      <translation>Punkte</translation>
    </message>
    <message>
      <source>points in their centres</source>
      <translation>Punkte in ihren Mitten</translation>
    </message>
    <message>
      <source>poor</source>
      <translation>schlecht</translation>
    </message>
    <message>
      <source>preview</source>
      <translation>Vorschau</translation>
    </message>
    <message>
      <source>preview, hatched where it is a guess</source>
      <translation>Vorschau, schraffiert, wo geraten ist</translation>
    </message>
    <message>
      <source>producer's</source>
      <translation>Hersteller-</translation>
    </message>
    <message>
      <source>producer's accuracy</source>
      <translation>Herstellergenauigkeit</translation>
    </message>
    <message>
      <source>profile</source>
      <translation>Profil</translation>
    </message>
    <message>
      <source>put down by hand, no random sample</source>
      <translation>von Hand gesetzt, keine Zufallsstichprobe</translation>
    </message>
    <message>
      <source>quantity</source>
      <translation>Menge</translation>
    </message>
    <message>
      <source>quit</source>
      <translation>beenden</translation>
    </message>
    <message>
      <source>radar</source>
      <translation>Radar</translation>
    </message>
    <message>
      <source>radar colour</source>
      <translation>Radarfarben</translation>
    </message>
    <message>
      <source>random</source>
      <translation>zufällig</translation>
    </message>
    <message>
      <source>raw counts</source>
      <translation>Rohwerte</translation>
    </message>
    <message>
      <source>readings</source>
      <translation>Ablesungen</translation>
    </message>
    <message>
      <source>real numbers</source>
      <translation>Kommazahlen</translation>
    </message>
    <message>
      <source>red channel</source>
      <translation>Rotkanal</translation>
    </message>
    <message>
      <source>refined Lee</source>
      <translation>verfeinertes Lee</translation>
    </message>
    <message>
      <source>remove the chosen area</source>
      <translation>das gewählte Gebiet entfernen</translation>
    </message>
    <message>
      <source>right</source>
      <translation>richtig</translation>
    </message>
    <message>
      <source>right, you guess</source>
      <translation>richtig, Ihre Schätzung</translation>
    </message>
    <message>
      <source>rows</source>
      <translation>Zeilen</translation>
    </message>
    <message>
      <source>rows staggered</source>
      <translation>Zeilen versetzt</translation>
    </message>
    <message>
      <source>saturated or defective</source>
      <translation>gesättigt oder fehlerhaft</translation>
    </message>
    <message>
      <source>saved</source>
      <translation>gespeichert</translation>
    </message>
    <message>
      <source>saved %1</source>
      <translation>gespeichert %1</translation>
    </message>
    <message>
      <source>scale</source>
      <translation>Maßstab</translation>
    </message>
    <message>
      <source>scene</source>
      <translation>Szene</translation>
    </message>
    <message>
      <source>searched for</source>
      <translation>gesucht</translation>
    </message>
    <message>
      <source>seed</source>
      <translation>Startwert</translation>
    </message>
    <message>
      <source>semicolon</source>
      <translation>Semikolon</translation>
    </message>
    <message>
      <source>separation</source>
      <translation>Trennung</translation>
    </message>
    <message>
      <source>settled between two labellers</source>
      <translation>zwischen zwei Personen entschieden</translation>
    </message>
    <message>
      <source>several things are called “{}”; use the id of the one that is meant.</source>
      <translation>mehrere Dinge heißen „{}“; nehmen Sie die id des gemeinten.</translation>
    </message>
    <message>
      <source>share</source>
      <translation>Anteil</translation>
    </message>
    <message>
      <source>share of %1</source>
      <translation>Anteil von %1</translation>
    </message>
    <message>
      <source>share of the area</source>
      <translation>Anteil der Fläche</translation>
    </message>
    <message>
      <source>share, %</source>
      <translation>Anteil, %</translation>
    </message>
    <message>
      <source>shares</source>
      <translation>Anteile</translation>
    </message>
    <message>
      <source>shares of my own</source>
      <translation>eigene Anteile</translation>
    </message>
    <message>
      <source>show the back picture</source>
      <translation>das hintere Bild zeigen</translation>
    </message>
    <message>
      <source>skip</source>
      <translation>überspringen</translation>
    </message>
    <message>
      <source>slight</source>
      <translation>gering</translation>
    </message>
    <message>
      <source>slope</source>
      <translation>Neigung</translation>
    </message>
    <message>
      <source>snow</source>
      <translation>Schnee</translation>
    </message>
    <message>
      <source>snow or ice</source>
      <translation>Schnee oder Eis</translation>
    </message>
    <message>
      <source>some pixels, see Scenes</source>
      <translation>einige Pixel, siehe Szenen</translation>
    </message>
    <message>
      <source>something is missing or of another kind.</source>
      <translation>etwas fehlt oder ist von anderer Art.</translation>
    </message>
    <message>
      <source>something that is gone</source>
      <translation>etwas, das fort ist</translation>
    </message>
    <message>
      <source>spread</source>
      <translation>Streuung</translation>
    </message>
    <message>
      <source>spread within</source>
      <translation>Streuung innerhalb</translation>
    </message>
    <message>
      <source>spreads from the mean of all</source>
      <translation>Streuungen vom Mittel aller</translation>
    </message>
    <message>
      <source>spreads off</source>
      <translation>Streuungen entfernt</translation>
    </message>
    <message>
      <source>square root</source>
      <translation>Quadratwurzel</translation>
    </message>
    <message>
      <source>squares</source>
      <translation>Quadrate</translation>
    </message>
    <message>
      <source>stage</source>
      <translation>Stufe</translation>
    </message>
    <message>
      <source>stand in a column of the points</source>
      <translation>stehen in einer Spalte der Punkte</translation>
    </message>
    <message>
      <source>standard error %1, interval %2 to %3</source>
      <translation>Standardfehler %1, Intervall %2 bis %3</translation>
    </message>
    <message>
      <source>straight (linear)</source>
      <translation>gerade (linear)</translation>
    </message>
    <message>
      <source>stratified, per class</source>
      <translation>geschichtet, je Klasse</translation>
    </message>
    <message>
      <source>substantial</source>
      <translation>beträchtlich</translation>
    </message>
    <message>
      <source>such as Cover of summer</source>
      <translation>etwa Bedeckung im Sommer</translation>
    </message>
    <message>
      <source>such as nir &lt; 0.1 and green &gt; red</source>
      <translation>etwa nir &lt; 0.1 and green &gt; red</translation>
    </message>
    <message>
      <source>such as temperature - 273.15</source>
      <translation>etwa temperature - 273.15</translation>
    </message>
    <message>
      <source>such as °C or mm</source>
      <translation>etwa °C oder mm</translation>
    </message>
    <message>
      <source>sum</source>
      <translation>Summe</translation>
    </message>
    <message>
      <source>surface reflectance</source>
      <translation>Bodenreflexion</translation>
    </message>
    <message>
      <source>swap front and back</source>
      <translation>vorn und hinten tauschen</translation>
    </message>
    <message>
      <source>systematic</source>
      <translation>systematisch</translation>
    </message>
    <message>
      <source>tab</source>
      <translation>Tabulator</translation>
    </message>
    <message>
      <source>table</source>
      <translation>Tabelle</translation>
    </message>
    <message>
      <source>take back</source>
      <translation>zurücknehmen</translation>
    </message>
    <message>
      <source>take back, do again</source>
      <translation>zurücknehmen, wiederholen</translation>
    </message>
    <message>
      <source>takes the best</source>
      <translation>nimmt die besten</translation>
    </message>
    <message>
      <source>that of the layer</source>
      <translation>das der Ebene</translation>
    </message>
    <message>
      <source>the cells</source>
      <translation>die Zellen</translation>
    </message>
    <message>
      <source>the cluster before or after</source>
      <translation>der Cluster davor oder danach</translation>
    </message>
    <message>
      <source>the cluster of that pixel</source>
      <translation>der Cluster dieses Pixels</translation>
    </message>
    <message>
      <source>the delivery grid</source>
      <translation>das Liefergitter</translation>
    </message>
    <message>
      <source>the demo's generator</source>
      <translation>der Erzeuger der Demo</translation>
    </message>
    <message>
      <source>the field</source>
      <translation>das Feld</translation>
    </message>
    <message>
      <source>the largest in a window</source>
      <translation>der größte in einem Fenster</translation>
    </message>
    <message>
      <source>the largest of its values</source>
      <translation>der größte seiner Werte</translation>
    </message>
    <message>
      <source>the largest overlap</source>
      <translation>die größte Überdeckung</translation>
    </message>
    <message>
      <source>the map as it is so far</source>
      <translation>die Karte, wie sie bisher ist</translation>
    </message>
    <message>
      <source>the map so far</source>
      <translation>die bisherige Karte</translation>
    </message>
    <message>
      <source>the mean around it</source>
      <translation>das Mittel ringsum</translation>
    </message>
    <message>
      <source>the nearest</source>
      <translation>das nächste</translation>
    </message>
    <message>
      <source>the next point without a label</source>
      <translation>der nächste Punkt ohne Angabe</translation>
    </message>
    <message>
      <source>the other picture</source>
      <translation>das andere Bild</translation>
    </message>
    <message>
      <source>the part in view</source>
      <translation>der sichtbare Teil</translation>
    </message>
    <message>
      <source>the pixel it lies in</source>
      <translation>das Pixel, in dem er liegt</translation>
    </message>
    <message>
      <source>the point before</source>
      <translation>der Punkt davor</translation>
    </message>
    <message>
      <source>the posterior probability</source>
      <translation>die A-posteriori-Wahrscheinlichkeit</translation>
    </message>
    <message>
      <source>the root of their number</source>
      <translation>die Wurzel ihrer Zahl</translation>
    </message>
    <message>
      <source>the same rectangle</source>
      <translation>dasselbe Rechteck</translation>
    </message>
    <message>
      <source>the scene before or after, on the time line</source>
      <translation>die Szene davor oder danach, auf der Zeitleiste</translation>
    </message>
    <message>
      <source>the set %1</source>
      <translation>den Satz %1</translation>
    </message>
    <message>
      <source>the share of the neighbours</source>
      <translation>der Anteil der Nachbarn</translation>
    </message>
    <message>
      <source>the share of the trees</source>
      <translation>der Anteil der Bäume</translation>
    </message>
    <message>
      <source>the smallest in a window</source>
      <translation>der kleinste in einem Fenster</translation>
    </message>
    <message>
      <source>the smallest of its values</source>
      <translation>der kleinste seiner Werte</translation>
    </message>
    <message>
      <source>the standard deviation in a window</source>
      <translation>die Standardabweichung in einem Fenster</translation>
    </message>
    <message>
      <source>the study area</source>
      <translation>das Untersuchungsgebiet</translation>
    </message>
    <message>
      <source>the training areas</source>
      <translation>die Trainingsgebiete</translation>
    </message>
    <message>
      <source>the whole</source>
      <translation>das Ganze</translation>
    </message>
    <message>
      <source>then %1 %2</source>
      <translation>dann %1 %2</translation>
    </message>
    <message>
      <source>there</source>
      <translation>dort</translation>
    </message>
    <message>
      <source>there is no scene under “{}”.</source>
      <translation>unter „{}“ steht keine Szene.</translation>
    </message>
    <message>
      <source>there is no “{}” in the study, nor is it made before.{}</source>
      <translation>in der Studie gibt es kein „{}“, noch wird es vorher gemacht.{}</translation>
    </message>
    <message>
      <source>these keys</source>
      <translation>diese Tasten</translation>
    </message>
    <message>
      <source>they disagree</source>
      <translation>sie widersprechen sich</translation>
    </message>
    <message>
      <source>thin</source>
      <translation>dünn</translation>
    </message>
    <message>
      <source>thin cirrus</source>
      <translation>dünner Cirrus</translation>
    </message>
    <message>
      <source>this scene</source>
      <translation>diese Szene</translation>
    </message>
    <message>
      <source>to be looked at again</source>
      <translation>noch einmal anzusehen</translation>
    </message>
    <message>
      <source>to the view</source>
      <translation>zur Ansicht</translation>
    </message>
    <message>
      <source>top-of-atmosphere reflectance</source>
      <translation>Reflexion am Oberrand der Atmosphäre</translation>
    </message>
    <message>
      <source>two classes</source>
      <translation>zwei Klassen</translation>
    </message>
    <message>
      <source>two peaks</source>
      <translation>zwei Gipfel</translation>
    </message>
    <message>
      <source>unclassified</source>
      <translation>nicht eingeteilt</translation>
    </message>
    <message>
      <source>unlike</source>
      <translation>unähnlich</translation>
    </message>
    <message>
      <source>usable</source>
      <translation>brauchbar</translation>
    </message>
    <message>
      <source>user's</source>
      <translation>Nutzer-</translation>
    </message>
    <message>
      <source>user's accuracy</source>
      <translation>Nutzergenauigkeit</translation>
    </message>
    <message>
      <source>van Deventer et al. 1997</source>
      <translation>van Deventer et al. 1997</translation>
    </message>
    <message>
      <source>vegetation</source>
      <translation>Vegetation</translation>
    </message>
    <message>
      <source>vegetation false colour</source>
      <translation>Falschfarben für Vegetation</translation>
    </message>
    <message>
      <source>very clear air</source>
      <translation>sehr klare Luft</translation>
    </message>
    <message>
      <source>very hazy</source>
      <translation>sehr dunstig</translation>
    </message>
    <message>
      <source>view</source>
      <translation>Ansicht</translation>
    </message>
    <message>
      <source>visible</source>
      <translation>sichtbar</translation>
    </message>
    <message>
      <source>water</source>
      <translation>Wasser</translation>
    </message>
    <message>
      <source>what belongs to it</source>
      <translation>was zu ihr gehört</translation>
    </message>
    <message>
      <source>what holds for all of its classes</source>
      <translation>was für alle ihre Klassen gilt</translation>
    </message>
    <message>
      <source>what is at the point: its class</source>
      <translation>was am Punkt ist: seine Klasse</translation>
    </message>
    <message>
      <source>what is seen</source>
      <translation>was zu sehen ist</translation>
    </message>
    <message>
      <source>what the cluster is: its class</source>
      <translation>was der Cluster ist: seine Klasse</translation>
    </message>
    <message>
      <source>wheel, + −</source>
      <translation>Rad, + −</translation>
    </message>
    <message>
      <source>where it is</source>
      <translation>wo es ist</translation>
    </message>
    <message>
      <source>where one looks</source>
      <translation>wo man hinsieht</translation>
    </message>
    <message>
      <source>who made it, its licence</source>
      <translation>wer es gemacht hat, seine Lizenz</translation>
    </message>
    <message>
      <source>whole numbers, 16 bit</source>
      <translation>ganze Zahlen, 16 Bit</translation>
    </message>
    <message>
      <source>whole numbers, 8 bit</source>
      <translation>ganze Zahlen, 8 Bit</translation>
    </message>
    <message>
      <source>whose centre lies inside</source>
      <translation>deren Mitte innen liegt</translation>
    </message>
    <message>
      <source>wide</source>
      <translation>weit</translation>
    </message>
    <message>
      <source>with a constant (C)</source>
      <translation>mit einer Konstante (C)</translation>
    </message>
    <message>
      <source>within a polygon</source>
      <translation>in einem Polygon</translation>
    </message>
    <message>
      <source>without a date</source>
      <translation>ohne Datum</translation>
    </message>
    <message>
      <source>without a reference system: looking, indices and maps work, areas and points do not</source>
      <translation>ohne Bezugssystem: Ansehen, Indizes und Karten gehen, Flächen und Punkte nicht</translation>
    </message>
    <message>
      <source>without steps</source>
      <translation>ohne Stufen</translation>
    </message>
    <message>
      <source>without the sign</source>
      <translation>ohne das Zeichen</translation>
    </message>
    <message>
      <source>write a note</source>
      <translation>eine Notiz schreiben</translation>
    </message>
    <message>
      <source>yes</source>
      <translation>ja</translation>
    </message>
    <message>
      <source>your own</source>
      <translation>eigene</translation>
    </message>
    <message>
      <source>zones of %1</source>
      <translation>Zonen von %1</translation>
    </message>
    <message>
      <source>zoom</source>
      <translation>zoomen</translation>
    </message>
    <message>
      <source>{}</source>
      <translation>{}</translation>
    </message>
    <message>
      <source>{} It is kept as “{}.damaged”.</source>
      <translation>{} Es ist als „{}.damaged“ aufbewahrt.</translation>
    </message>
    <message>
      <source>{} and {}</source>
      <translation>{} und {}</translation>
    </message>
    <message>
      <source>{} classes are more than the {} of a map; merge some.</source>
      <translation>{} Klassen sind mehr als die {} einer Karte; lassen Sie einige ineinander aufgehen.</translation>
    </message>
    <message>
      <source>{} clusters are more than the {} that can be told apart; ask for fewer.</source>
      <translation>{} Cluster sind mehr als die {}, die unterschieden werden können; verlangen Sie weniger.</translation>
    </message>
    <message>
      <source>{} could not be written ({}); free some space on the disk and try again.</source>
      <translation>{} konnte nicht geschrieben werden ({}); schaffen Sie Platz auf der Platte, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>{} could not be written: the disk of “{}” is full; free some space and try again.</source>
      <translation>{} konnte nicht geschrieben werden: die Platte von „{}“ ist voll; schaffen Sie Platz, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>{} features are more than the {} that can be used at once; choose fewer.</source>
      <translation>{} Merkmale sind mehr als die {}, die zugleich verwendet werden können; wählen Sie weniger.</translation>
    </message>
    <message>
      <source>{} from the edge is more than {} pixels; give a smaller distance.</source>
      <translation>{} vom Rand sind mehr als {} Pixel; geben Sie einen kleineren Abstand an.</translation>
    </message>
    <message>
      <source>{} has no parameter “{}”; it has {}.{}</source>
      <translation>{} hat keinen Parameter „{}“; es hat {}.{}</translation>
    </message>
    <message>
      <source>{} has no parameters, so none called “{}”.</source>
      <translation>{} hat keine Parameter, also keinen namens „{}“.</translation>
    </message>
    <message>
      <source>{} has to be {}; mend it or leave it empty.</source>
      <translation>{} muss {} sein; berichtigen Sie es, oder lassen Sie es leer.</translation>
    </message>
    <message>
      <source>{} has to be {}; mend it.</source>
      <translation>{} muss {} sein; berichtigen Sie es.</translation>
    </message>
    <message>
      <source>{} holds whole numbers of unknown state, but the constants of this formula suppose reflectance from 0 to 1: say what the numbers are, with their scale and offset.</source>
      <translation>{} enthält ganze Zahlen unbekannter Art, aber die Konstanten dieser Formel setzen Reflexion von 0 bis 1 voraus: geben Sie an, was die Zahlen sind, mit Maßstab und Versatz.</translation>
    </message>
    <message>
      <source>{} is called reflectance but holds whole numbers without scale and offset: set them under Scenes, or indices with constants come out wrong.</source>
      <translation>{} heißt Reflexion, enthält aber ganze Zahlen ohne Maßstab und Versatz: setzen Sie beide unter Szenen, sonst werden Indizes mit Konstanten falsch.</translation>
    </message>
    <message>
      <source>{} is not a class code; codes are whole numbers from 1 to 65535.</source>
      <translation>{} ist kein Klassencode; Codes sind ganze Zahlen von 1 bis 65535.</translation>
    </message>
    <message>
      <source>{} is {}; give 0 or more.</source>
      <translation>{} ist {}; geben Sie 0 oder mehr an.</translation>
    </message>
    <message>
      <source>{} is {}; give a number between 0 and 1.</source>
      <translation>{} ist {}; geben Sie eine Zahl zwischen 0 und 1 an.</translation>
    </message>
    <message>
      <source>{} needs training pixels, not their signatures alone; choose another method.</source>
      <translation>{} braucht Trainingspixel, nicht nur ihre Signaturen; wählen Sie ein anderes Verfahren.</translation>
    </message>
    <message>
      <source>{} of the {} points to be topped up lie where this plan places none; top them up by the plan that they were placed by.</source>
      <translation>{} der {} aufzufüllenden Punkte liegen, wo dieser Plan keine setzt; füllen Sie sie mit dem Plan auf, der sie gesetzt hat.</translation>
    </message>
    <message>
      <source>{} pixels for {} features are fewer than ten a feature. Draw more areas.</source>
      <translation>{} Pixel für {} Merkmale sind weniger als zehn je Merkmal. Zeichnen Sie mehr Gebiete.</translation>
    </message>
    <message>
      <source>{} takes {} and {} are free in “{}”; free some space and try again.</source>
      <translation>{} braucht {}, und {} sind in „{}“ frei; schaffen Sie Platz, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>{} to {} values</source>
      <translation>{} bis {} Werte</translation>
    </message>
    <message>
      <source>{} values</source>
      <translation>{} Werte</translation>
    </message>
    <message>
      <source>{} {}</source>
      <translation>{} {}</translation>
    </message>
    <message>
      <source>{}, {}</source>
      <translation>{}, {}</translation>
    </message>
    <message>
      <source>{}: {}</source>
      <translation>{}: {}</translation>
    </message>
    <message>
      <source>“%1” cannot be moved; close it elsewhere first.</source>
      <translation>„%1“ kann nicht verschoben werden; schließen Sie es zuerst anderswo.</translation>
    </message>
    <message>
      <source>“%1” does not exist.</source>
      <translation>„%1“ gibt es nicht.</translation>
    </message>
    <message>
      <source>“%1” is no date; write year-month-day, such as 2031-05-01.</source>
      <translation>„%1“ ist kein Datum; schreiben Sie Jahr-Monat-Tag, etwa 2031-05-01.</translation>
    </message>
    <message>
      <source>“%1” was cancelled; nothing was left behind.</source>
      <translation>„%1“ wurde abgebrochen; nichts blieb zurück.</translation>
    </message>
    <message>
      <source>“in_bin” must be true or false.</source>
      <translation>„in_bin“ muss true oder false sein.</translation>
    </message>
    <message>
      <source>“scene_as” must be what a study says of a scene.</source>
      <translation>„scene_as“ muss sein, was eine Studie über eine Szene sagt.</translation>
    </message>
    <message>
      <source>“when … then … else …” chooses between two texts or two numbers, not one of each.</source>
      <translation>„when … then … else …“ wählt zwischen zwei Texten oder zwei Zahlen, nicht je einem.</translation>
    </message>
    <message>
      <source>“when … then …” needs an “else” here.</source>
      <translation>„when … then …“ braucht hier ein „else“.</translation>
    </message>
    <message>
      <source>“when” needs a “then” here.</source>
      <translation>„when“ braucht hier ein „then“.</translation>
    </message>
    <message>
      <source>“{0}” has several layers ({1}); name one as {0}:LAYER.</source>
      <translation>„{0}“ hat mehrere Ebenen ({1}); nennen Sie eine als {0}:EBENE.</translation>
    </message>
    <message>
      <source>“{}{}” is a pipe or a device and no file; save what it gives first.</source>
      <translation>„{}{}“ ist eine Pipe oder ein Gerät und keine Datei; speichern Sie zuerst, was es liefert.</translation>
    </message>
    <message>
      <source>“{}” and “{}” are one band; name each feature once.</source>
      <translation>„{}“ und „{}“ sind ein Band; nennen Sie jedes Merkmal einmal.</translation>
    </message>
    <message>
      <source>“{}” and “{}” have no band role in common; give their bands roles.</source>
      <translation>„{}“ und „{}“ haben keine gemeinsame Bandrolle; geben Sie ihren Bändern Rollen.</translation>
    </message>
    <message>
      <source>“{}” and “{}” hold values of another kind; a season needs the same.</source>
      <translation>„{}“ und „{}“ enthalten Werte anderer Art; eine Saison braucht dieselbe.</translation>
    </message>
    <message>
      <source>“{}” and “{}” lie nowhere over each other; choose ones that do.</source>
      <translation>„{}“ und „{}“ liegen nirgends übereinander; wählen Sie solche, die es tun.</translation>
    </message>
    <message>
      <source>“{}” cannot be read; check the name.</source>
      <translation>„{}“ kann nicht gelesen werden; prüfen Sie den Namen.</translation>
    </message>
    <message>
      <source>“{}” cannot be read; check who may read it.</source>
      <translation>„{}“ kann nicht gelesen werden; prüfen Sie, wer es lesen darf.</translation>
    </message>
    <message>
      <source>“{}” cannot be the name of a column; leave out braces and line ends.</source>
      <translation>„{}“ kann kein Spaltenname sein; lassen Sie geschweifte Klammern und Zeilenenden weg.</translation>
    </message>
    <message>
      <source>“{}” cannot be written to; choose another folder.</source>
      <translation>In „{}“ kann nicht geschrieben werden; wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>“{}” could not be copied to “{}” ({}); check the space on the disk.</source>
      <translation>„{}“ konnte nicht nach „{}“ kopiert werden ({}); prüfen Sie den Platz auf der Platte.</translation>
    </message>
    <message>
      <source>“{}” could not be put in place ({}); check the folder and try again.</source>
      <translation>„{}“ konnte nicht an seinen Ort gebracht werden ({}); prüfen Sie den Ordner, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>“{}” could not be written to the disk ({}); free some space and try again.</source>
      <translation>„{}“ konnte nicht auf die Platte geschrieben werden ({}); schaffen Sie Platz, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>“{}” could not be written; check the space on the disk.</source>
      <translation>„{}“ konnte nicht geschrieben werden; prüfen Sie den Platz auf der Platte.</translation>
    </message>
    <message>
      <source>“{}” could not be written; choose another folder.</source>
      <translation>„{}“ konnte nicht geschrieben werden; wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>“{}” could not be written; free some space on the disk and try again.</source>
      <translation>„{}“ konnte nicht geschrieben werden; schaffen Sie Platz auf der Platte, und versuchen Sie es noch einmal.</translation>
    </message>
    <message>
      <source>“{}” could not be written; make room or choose another folder, then fetch again.</source>
      <translation>„{}“ konnte nicht geschrieben werden; schaffen Sie Platz, oder wählen Sie einen anderen Ordner, und holen Sie dann noch einmal.</translation>
    </message>
    <message>
      <source>“{}” does not belong here; a column, a number or a parenthesis does.</source>
      <translation>„{}“ gehört nicht hierher; eine Spalte, eine Zahl oder eine Klammer schon.</translation>
    </message>
    <message>
      <source>“{}” does not belong here; a role, a number or a parenthesis does.</source>
      <translation>„{}“ gehört nicht hierher; eine Rolle, eine Zahl oder eine Klammer schon.</translation>
    </message>
    <message>
      <source>“{}” does not belong here; is a sign missing before it?</source>
      <translation>„{}“ gehört nicht hierher; fehlt davor ein Zeichen?</translation>
    </message>
    <message>
      <source>“{}” does not exist; check the name.</source>
      <translation>„{}“ gibt es nicht; prüfen Sie den Namen.</translation>
    </message>
    <message>
      <source>“{}” does not fit “{}”; it takes {}.</source>
      <translation>„{}“ passt nicht zu „{}“; es nimmt {}.</translation>
    </message>
    <message>
      <source>“{}” does not lie on the scene and has no reference system; choose the quality band of this scene.</source>
      <translation>„{}“ liegt nicht auf der Szene und hat kein Bezugssystem; wählen Sie das Qualitätsband dieser Szene.</translation>
    </message>
    <message>
      <source>“{}” does not say where it lies, so it has no place among others.</source>
      <translation>„{}“ sagt nicht, wo es liegt, und hat daher keinen Platz unter anderen.</translation>
    </message>
    <message>
      <source>“{}” does not say where it lies, so nothing can be read at points; give it a position first.</source>
      <translation>„{}“ sagt nicht, wo es liegt; daher kann an Punkten nichts abgelesen werden; geben Sie ihm zuerst eine Lage.</translation>
    </message>
    <message>
      <source>“{}” does not say which version of its format it is; take a copy from before.</source>
      <translation>„{}“ sagt nicht, welche Fassung seines Formats es ist; nehmen Sie eine frühere Kopie.</translation>
    </message>
    <message>
      <source>“{}” does not tell roles; write them as red=3,nir=4.</source>
      <translation>„{}“ nennt keine Rollen; schreiben Sie sie als red=3,nir=4.</translation>
    </message>
    <message>
      <source>“{}” exists already; choose a new name for the copy.</source>
      <translation>„{}“ gibt es schon; wählen Sie einen neuen Namen für die Kopie.</translation>
    </message>
    <message>
      <source>“{}” exists already; name another file or allow it to be replaced (--replace).</source>
      <translation>„{}“ gibt es schon; nennen Sie eine andere Datei, oder erlauben Sie das Ersetzen (--replace).</translation>
    </message>
    <message>
      <source>“{}” has a column “{}” already; choose another name for where rows come from.</source>
      <translation>„{}“ hat schon eine Spalte „{}“; wählen Sie einen anderen Namen dafür, woher Zeilen kommen.</translation>
    </message>
    <message>
      <source>“{}” has an area but no point; leave the areas out, or the class.</source>
      <translation>„{}“ hat eine Fläche, aber keinen Punkt; lassen Sie die Flächen weg oder die Klasse.</translation>
    </message>
    <message>
      <source>“{}” has an ending that names no vector format; use .gpkg, .geojson, .shp, .kml or .csv.</source>
      <translation>„{}“ hat eine Endung, die kein Vektorformat nennt; nehmen Sie .gpkg, .geojson, .shp, .kml oder .csv.</translation>
    </message>
    <message>
      <source>“{}” has more in its parentheses than a feature of its kind takes ({}).</source>
      <translation>„{}“ hat mehr in seinen Klammern, als ein Merkmal seiner Art nimmt ({}).</translation>
    </message>
    <message>
      <source>“{}” has more pixels than patches can be told apart in; cut it first.</source>
      <translation>„{}“ hat mehr Pixel, als sich in Flächen unterscheiden lassen; schneiden Sie es zuerst.</translation>
    </message>
    <message>
      <source>“{}” has no band {} any more; bring the scene in again.</source>
      <translation>„{}“ hat kein Band {} mehr; holen Sie die Szene noch einmal herein.</translation>
    </message>
    <message>
      <source>“{}” has no band {} any more; choose bands again.</source>
      <translation>„{}“ hat kein Band {} mehr; wählen Sie die Bänder noch einmal.</translation>
    </message>
    <message>
      <source>“{}” has no band {}; it has {}.</source>
      <translation>„{}“ hat kein Band {}; es hat {}.</translation>
    </message>
    <message>
      <source>“{}” has no bands; choose another file.</source>
      <translation>„{}“ hat keine Bänder; wählen Sie eine andere Datei.</translation>
    </message>
    <message>
      <source>“{}” has no blue, green or red band; give a band that role first.</source>
      <translation>„{}“ hat kein blaues, grünes oder rotes Band; geben Sie zuerst einem Band diese Rolle.</translation>
    </message>
    <message>
      <source>“{}” has no layer “{}”; it has {}.{}</source>
      <translation>„{}“ hat keine Ebene „{}“; es hat {}.{}</translation>
    </message>
    <message>
      <source>“{}” has no list “{}”; mend it or take it away.</source>
      <translation>„{}“ hat keine Liste „{}“; berichtigen Sie es, oder nehmen Sie es weg.</translation>
    </message>
    <message>
      <source>“{}” has no places of its own; choose points, cells or an outline.</source>
      <translation>„{}“ hat keine eigenen Orte; wählen Sie Punkte, Zellen oder einen Umriss.</translation>
    </message>
    <message>
      <source>“{}” has no places, so nothing of it can be read.</source>
      <translation>„{}“ hat keine Orte; daher kann nichts davon abgelesen werden.</translation>
    </message>
    <message>
      <source>“{}” has no polygons for a point to lie in; read its nearest instead.</source>
      <translation>„{}“ hat keine Polygone, in denen ein Punkt liegen könnte; lesen Sie stattdessen das Nächste ab.</translation>
    </message>
    <message>
      <source>“{}” has no quality band; choose one first.</source>
      <translation>„{}“ hat kein Qualitätsband; wählen Sie zuerst eines.</translation>
    </message>
    <message>
      <source>“{}” has no reference system, so it cannot be joined; give it one first.</source>
      <translation>„{}“ hat kein Bezugssystem und kann daher nicht zusammengefügt werden; geben Sie ihm zuerst eines.</translation>
    </message>
    <message>
      <source>“{}” has no reference system, so its points would lie nowhere; give it one first.</source>
      <translation>„{}“ hat kein Bezugssystem; seine Punkte lägen nirgends; geben Sie ihm zuerst eines.</translation>
    </message>
    <message>
      <source>“{}” has no reference system, so its polygons would lie nowhere; give it one first.</source>
      <translation>„{}“ hat kein Bezugssystem; seine Polygone lägen nirgends; geben Sie ihm zuerst eines.</translation>
    </message>
    <message>
      <source>“{}” has no reference system; give it one before using it with an image.</source>
      <translation>„{}“ hat kein Bezugssystem; geben Sie ihm eines, bevor Sie es mit einem Bild verwenden.</translation>
    </message>
    <message>
      <source>“{}” has no steps; give it a list under “steps”.</source>
      <translation>„{}“ hat keine Schritte; geben Sie ihm eine Liste unter „steps“.</translation>
    </message>
    <message>
      <source>“{}” has no values, so no texture.</source>
      <translation>„{}“ hat keine Werte, also keine Textur.</translation>
    </message>
    <message>
      <source>“{}” has no wavelength, which the scattering follows; choose a sensor preset first.</source>
      <translation>„{}“ hat keine Wellenlänge, der die Streuung folgt; wählen Sie zuerst eine Sensor-Voreinstellung.</translation>
    </message>
    <message>
      <source>“{}” has no {} band; give a band that role first.</source>
      <translation>„{}“ hat kein Band {}; geben Sie zuerst einem Band diese Rolle.</translation>
    </message>
    <message>
      <source>“{}” has other clusters than those that were named; name them again.</source>
      <translation>„{}“ hat andere Cluster als die benannten; benennen Sie sie noch einmal.</translation>
    </message>
    <message>
      <source>“{}” has two peaks in {}: it seems to hold two covers.</source>
      <translation>„{}“ hat zwei Gipfel in {}: es scheint zwei Bedeckungen zu enthalten.</translation>
    </message>
    <message>
      <source>“{}” has two peaks over all features together: it seems to hold two covers.</source>
      <translation>„{}“ hat zwei Gipfel über alle Merkmale zusammen: es scheint zwei Bedeckungen zu enthalten.</translation>
    </message>
    <message>
      <source>“{}” has {} bands and so is no class map; name the band that holds the classes, such as {}:1.</source>
      <translation>„{}“ hat {} Bänder und ist daher keine Klassenkarte; nennen Sie das Band mit den Klassen, etwa {}:1.</translation>
    </message>
    <message>
      <source>“{}” has {} bands and the first {}; choose rasters of as many.</source>
      <translation>„{}“ hat {} Bänder und das erste {}; wählen Sie Raster mit gleich vielen.</translation>
    </message>
    <message>
      <source>“{}” has {} bands.</source>
      <translation>„{}“ hat {} Bänder.</translation>
    </message>
    <message>
      <source>“{}” has {} training pixel{}, too few for a covariance over {} features; draw at least {}, better {}.</source>
      <translation>„{}“ hat {} Trainingspixel{}, zu wenige für eine Kovarianz über {} Merkmale; zeichnen Sie mindestens {}, besser {}.</translation>
    </message>
    <message>
      <source>“{}” holds a number that is too large; mend it or choose another file.</source>
      <translation>„{}“ enthält eine zu große Zahl; berichtigen Sie es, oder wählen Sie eine andere Datei.</translation>
    </message>
    <message>
      <source>“{}” holds class codes, which have no mean; choose a scene.</source>
      <translation>„{}“ enthält Klassencodes, die kein Mittel haben; wählen Sie eine Szene.</translation>
    </message>
    <message>
      <source>“{}” holds classes; ask for the majority or the shares.</source>
      <translation>„{}“ enthält Klassen; fragen Sie nach der Mehrheit oder den Anteilen.</translation>
    </message>
    <message>
      <source>“{}” holds complex numbers or a number type that is not supported; convert it to whole or real numbers first.</source>
      <translation>„{}“ enthält komplexe Zahlen oder einen nicht unterstützten Zahlentyp; wandeln Sie es zuerst in ganze Zahlen oder Kommazahlen um.</translation>
    </message>
    <message>
      <source>“{}” holds more than {} keys in one object; it is not one of our files.</source>
      <translation>„{}“ enthält mehr als {} Schlüssel in einem Objekt; es ist keine unserer Dateien.</translation>
    </message>
    <message>
      <source>“{}” holds more than {} rasters; choose a part of it.</source>
      <translation>„{}“ enthält mehr als {} Raster; wählen Sie einen Teil davon.</translation>
    </message>
    <message>
      <source>“{}” holds no class.</source>
      <translation>„{}“ enthält keine Klasse.</translation>
    </message>
    <message>
      <source>“{}” holds no classes to tell the majority or the shares of.</source>
      <translation>„{}“ enthält keine Klassen, deren Mehrheit oder Anteile man nennen könnte.</translation>
    </message>
    <message>
      <source>“{}” holds no polygons or points; choose a layer with shapes.</source>
      <translation>„{}“ enthält keine Polygone oder Punkte; wählen Sie eine Ebene mit Formen.</translation>
    </message>
    <message>
      <source>“{}” holds real numbers, so it has no bits or whole values that flag anything; choose the quality band of the scene.</source>
      <translation>„{}“ enthält Kommazahlen und daher keine Bits oder ganzen Werte, die etwas kennzeichnen; wählen Sie das Qualitätsband der Szene.</translation>
    </message>
    <message>
      <source>“{}” holds scaled values and no class codes; choose a class map.</source>
      <translation>„{}“ enthält skalierte Werte und keine Klassencodes; wählen Sie eine Klassenkarte.</translation>
    </message>
    <message>
      <source>“{}” holds the key “{}” twice in one object; mend it first.</source>
      <translation>„{}“ enthält den Schlüssel „{}“ zweimal in einem Objekt; berichtigen Sie es zuerst.</translation>
    </message>
    <message>
      <source>“{}” holds {} different numbers, more than the {} classes of a map.</source>
      <translation>„{}“ enthält {} verschiedene Zahlen, mehr als die {} Klassen einer Karte.</translation>
    </message>
    <message>
      <source>“{}” holds {}, which is no class code (a whole number from 1 to 65535); choose a class map.</source>
      <translation>„{}“ enthält {}, was kein Klassencode ist (eine ganze Zahl von 1 bis 65535); wählen Sie eine Klassenkarte.</translation>
    </message>
    <message>
      <source>“{}” in row {} of the column “{}” is no coordinate.</source>
      <translation>„{}“ in Zeile {} der Spalte „{}“ ist keine Koordinate.</translation>
    </message>
    <message>
      <source>“{}” in row {} of the column “{}” is no date such as 2031-07-18.</source>
      <translation>„{}“ in Zeile {} der Spalte „{}“ ist kein Datum wie 2031-07-18.</translation>
    </message>
    <message>
      <source>“{}” in {} is not a class code; codes are whole numbers from 1 to 65535.</source>
      <translation>„{}“ in {} ist kein Klassencode; Codes sind ganze Zahlen von 1 bis 65535.</translation>
    </message>
    <message>
      <source>“{}” is a folder; name a file.</source>
      <translation>„{}“ ist ein Ordner; nennen Sie eine Datei.</translation>
    </message>
    <message>
      <source>“{}” is a table without places; read it with its coordinates first.</source>
      <translation>„{}“ ist eine Tabelle ohne Orte; lesen Sie sie zuerst mit ihren Koordinaten.</translation>
    </message>
    <message>
      <source>“{}” is an input too; name another output file.</source>
      <translation>„{}“ ist auch eine Eingabe; nennen Sie eine andere Ausgabedatei.</translation>
    </message>
    <message>
      <source>“{}” is asked of classes, but “{}” holds real numbers.</source>
      <translation>„{}“ fragt man bei Klassen, aber „{}“ enthält Kommazahlen.</translation>
    </message>
    <message>
      <source>“{}” is asked of classes, which features do not have.</source>
      <translation>„{}“ fragt man bei Klassen, die Merkmale nicht haben.</translation>
    </message>
    <message>
      <source>“{}” is compared with numbers; write a number, without quotes.</source>
      <translation>„{}“ wird mit Zahlen verglichen; schreiben Sie eine Zahl ohne Anführungszeichen.</translation>
    </message>
    <message>
      <source>“{}” is damaged ({}); copy it again from its source.</source>
      <translation>„{}“ ist beschädigt ({}); kopieren Sie es neu von seiner Quelle.</translation>
    </message>
    <message>
      <source>“{}” is damaged or cut short near row {}; copy it again from its source.</source>
      <translation>„{}“ ist nahe Zeile {} beschädigt oder abgeschnitten; kopieren Sie es neu von seiner Quelle.</translation>
    </message>
    <message>
      <source>“{}” is larger than {} MiB; it is not one of our files.</source>
      <translation>„{}“ ist größer als {} MiB; es ist keine unserer Dateien.</translation>
    </message>
    <message>
      <source>“{}” is named twice as an output; give each its own name.</source>
      <translation>„{}“ ist zweimal als Ausgabe genannt; geben Sie jeder einen eigenen Namen.</translation>
    </message>
    <message>
      <source>“{}” is named twice; name each feature once.</source>
      <translation>„{}“ ist zweimal genannt; nennen Sie jedes Merkmal einmal.</translation>
    </message>
    <message>
      <source>“{}” is neither a STAC catalogue nor an item; choose another.</source>
      <translation>„{}“ ist weder ein STAC-Katalog noch ein Eintrag; wählen Sie einen anderen.</translation>
    </message>
    <message>
      <source>“{}” is nested deeper than {} levels; it is not one of our files.</source>
      <translation>„{}“ ist tiefer als {} Ebenen verschachtelt; es ist keine unserer Dateien.</translation>
    </message>
    <message>
      <source>“{}” is no band of “{}”; its bands are 1 to {}.{}</source>
      <translation>„{}“ ist kein Band von „{}“; dessen Bänder sind 1 bis {}.{}</translation>
    </message>
    <message>
      <source>“{}” is no class code of a raster (a whole number from 1 to 65535).</source>
      <translation>„{}“ ist kein Klassencode eines Rasters (eine ganze Zahl von 1 bis 65535).</translation>
    </message>
    <message>
      <source>“{}” is no class code.</source>
      <translation>„{}“ ist kein Klassencode.</translation>
    </message>
    <message>
      <source>“{}” is no date such as 2031-07-18.</source>
      <translation>„{}“ ist kein Datum wie 2031-07-18.</translation>
    </message>
    <message>
      <source>“{}” is no date; write it as 2031-07-18.</source>
      <translation>„{}“ ist kein Datum; schreiben Sie es als 2031-07-18.</translation>
    </message>
    <message>
      <source>“{}” is no feature; write its kind with what it needs in parentheses, such as band(nir), index(ndvi) or band(nir) of july.</source>
      <translation>„{}“ ist kein Merkmal; schreiben Sie seine Art mit dem, was sie braucht, in Klammern, etwa band(nir), index(ndvi) oder band(nir) of july.</translation>
    </message>
    <message>
      <source>“{}” is no kind of product; the study was made by another version.</source>
      <translation>„{}“ ist keine Art von Ergebnis; die Studie stammt von einer anderen Fassung.</translation>
    </message>
    <message>
      <source>“{}” is no map of change, so it does not say what changed.</source>
      <translation>„{}“ ist keine Karte der Veränderung und sagt daher nicht, was sich änderte.</translation>
    </message>
    <message>
      <source>“{}” is no number type here.{} They are {}.</source>
      <translation>„{}“ ist hier kein Zahlentyp.{} Es sind {}.</translation>
    </message>
    <message>
      <source>“{}” is no radar scene; speckle is a thing of radar.</source>
      <translation>„{}“ ist keine Radarszene; Speckle gibt es nur bei Radar.</translation>
    </message>
    <message>
      <source>“{}” is no step this version knows.{}</source>
      <translation>„{}“ ist kein Schritt, den diese Fassung kennt.{}</translation>
    </message>
    <message>
      <source>“{}” is no table of readings.</source>
      <translation>„{}“ ist keine Tabelle mit Ablesungen.</translation>
    </message>
    <message>
      <source>“{}” is no trained map; choose one that was made from training areas.</source>
      <translation>„{}“ ist keine trainierte Karte; wählen Sie eine, die aus Trainingsgebieten entstand.</translation>
    </message>
    <message>
      <source>“{}” is no way to read at a place; they are {}.{}</source>
      <translation>„{}“ ist keine Art, an einem Ort abzulesen; es sind {}.{}</translation>
    </message>
    <message>
      <source>“{}” is not a STAC item; choose one with “assets”.</source>
      <translation>„{}“ ist kein STAC-Eintrag; wählen Sie einen mit „assets“.</translation>
    </message>
    <message>
      <source>“{}” is not a band role.{} The roles are {}.</source>
      <translation>„{}“ ist keine Bandrolle.{} Die Rollen sind {}.</translation>
    </message>
    <message>
      <source>“{}” is not a colour; write it as #rrggbb.</source>
      <translation>„{}“ ist keine Farbe; schreiben Sie sie als #rrggbb.</translation>
    </message>
    <message>
      <source>“{}” is not a known reference system; give it as EPSG:n.</source>
      <translation>„{}“ ist kein bekanntes Bezugssystem; geben Sie es als EPSG:n an.</translation>
    </message>
    <message>
      <source>“{}” is not a local file; copy it to this machine first.</source>
      <translation>„{}“ ist keine örtliche Datei; kopieren Sie sie zuerst auf diesen Rechner.</translation>
    </message>
    <message>
      <source>“{}” is not a raster that can be read; choose a GeoTIFF or another open raster format.</source>
      <translation>„{}“ ist kein lesbares Raster; wählen Sie ein GeoTIFF oder ein anderes offenes Rasterformat.</translation>
    </message>
    <message>
      <source>“{}” is not a role of this scene.{}</source>
      <translation>„{}“ ist keine Rolle dieser Szene.{}</translation>
    </message>
    <message>
      <source>“{}” is not a study; choose a folder that holds a study.json.</source>
      <translation>„{}“ ist keine Studie; wählen Sie einen Ordner mit einer study.json.</translation>
    </message>
    <message>
      <source>“{}” is not a vector layer or table that can be read; choose a GeoPackage, GeoJSON, shapefile or CSV.</source>
      <translation>„{}“ ist keine lesbare Vektorebene oder Tabelle; wählen Sie ein GeoPackage, GeoJSON, Shapefile oder CSV.</translation>
    </message>
    <message>
      <source>“{}” is not a {} of Zany Patch; choose another.</source>
      <translation>„{}“ ist kein {} von Zany Patch; wählen Sie ein anderes.</translation>
    </message>
    <message>
      <source>“{}” is not empty; choose a new folder for the study.</source>
      <translation>„{}“ ist nicht leer; wählen Sie einen neuen Ordner für die Studie.</translation>
    </message>
    <message>
      <source>“{}” is not known here.{}</source>
      <translation>„{}“ ist hier nicht bekannt.{}</translation>
    </message>
    <message>
      <source>“{}” is not known to hold backscatter, as power or in decibels; say what its values are.</source>
      <translation>Von „{}“ ist nicht bekannt, dass es Rückstreuung enthält, als Leistung oder in Dezibel; geben Sie an, was seine Werte sind.</translation>
    </message>
    <message>
      <source>“{}” is not the size the scene had when it was brought in; bring the scene in again.</source>
      <translation>„{}“ hat nicht die Größe, die die Szene beim Hereinholen hatte; holen Sie die Szene noch einmal herein.</translation>
    </message>
    <message>
      <source>“{}” is not valid JSON at line {}, column {}; mend it or choose another file.</source>
      <translation>„{}“ ist kein gültiges JSON in Zeile {}, Spalte {}; berichtigen Sie es, oder wählen Sie eine andere Datei.</translation>
    </message>
    <message>
      <source>“{}” is on the map but has no labelled point; label points in every class before weighting by area.</source>
      <translation>„{}“ ist auf der Karte, hat aber keinen bestimmten Punkt; bestimmen Sie Punkte in jeder Klasse, bevor Sie nach Fläche gewichten.</translation>
    </message>
    <message>
      <source>“{}” is out of date; run again, it will be as its inputs are now.</source>
      <translation>„{}“ ist veraltet; noch einmal ausgeführt, wird es, wie seine Eingaben jetzt sind.</translation>
    </message>
    <message>
      <source>“{}” is stored in blocks of {} x {} pixels and {} bands, more than can be read at once; write it again in tiles.</source>
      <translation>„{}“ ist in Blöcken von {} x {} Pixeln und {} Bändern gespeichert, mehr als auf einmal gelesen werden kann; schreiben Sie es in Kacheln neu.</translation>
    </message>
    <message>
      <source>“{}” is there, and no run made it; move it away or choose another folder.</source>
      <translation>„{}“ ist da, und kein Lauf hat es gemacht; legen Sie es weg, oder wählen Sie einen anderen Ordner.</translation>
    </message>
    <message>
      <source>“{}” is {} class map, unlike those before; gather class maps by themselves.</source>
      <translation>„{}“ ist {} Klassenkarte, anders als die davor; sammeln Sie Klassenkarten für sich.</translation>
    </message>
    <message>
      <source>“{}” is {} x {} pixels, but the bands before it are {} x {} or lie elsewhere, and without a reference system they cannot be brought together.</source>
      <translation>„{}“ hat {} x {} Pixel, aber die Bänder davor haben {} x {} oder liegen anderswo, und ohne Bezugssystem lassen sie sich nicht zusammenbringen.</translation>
    </message>
    <message>
      <source>“{}” lies elsewhere, so nothing of it can stay as it is; choose another map.</source>
      <translation>„{}“ liegt anderswo; daher kann nichts davon bleiben, wie es ist; wählen Sie eine andere Karte.</translation>
    </message>
    <message>
      <source>“{}” lies on another grid and has no reference system, so it cannot be brought together with the others; give it one first.</source>
      <translation>„{}“ liegt auf einem anderen Gitter und hat kein Bezugssystem; daher lässt es sich nicht mit den anderen zusammenbringen; geben Sie ihm zuerst eines.</translation>
    </message>
    <message>
      <source>“{}” lies outside the scene; choose another outline.</source>
      <translation>„{}“ liegt außerhalb der Szene; wählen Sie einen anderen Umriss.</translation>
    </message>
    <message>
      <source>“{}” looks at the pixels around; a row has none.</source>
      <translation>„{}“ sieht auf die Pixel ringsum; eine Zeile hat keine.</translation>
    </message>
    <message>
      <source>“{}” means nothing in decibels; ask for it without them.</source>
      <translation>„{}“ bedeutet in Dezibel nichts; verlangen Sie es ohne.</translation>
    </message>
    <message>
      <source>“{}” must be a text.</source>
      <translation>„{}“ muss ein Text sein.</translation>
    </message>
    <message>
      <source>“{}” needs to be told its {}: write {}({}).</source>
      <translation>„{}“ braucht sein {}: schreiben Sie {}({}).</translation>
    </message>
    <message>
      <source>“{}” of the change “{}” of a table is not of the right kind.</source>
      <translation>„{}“ der Änderung „{}“ einer Tabelle ist nicht von der richtigen Art.</translation>
    </message>
    <message>
      <source>“{}” reaches outside the reference system of the image; cut it first.</source>
      <translation>„{}“ reicht aus dem Bezugssystem des Bildes hinaus; schneiden Sie es zuerst.</translation>
    </message>
    <message>
      <source>“{}” says it has {} x {} pixels, more than can be worked on; cut out a part first.</source>
      <translation>„{}“ sagt, es habe {} x {} Pixel, mehr als bearbeitet werden können; schneiden Sie zuerst einen Teil aus.</translation>
    </message>
    <message>
      <source>“{}” stands in the sheet, and the table has no column “{}”.{}</source>
      <translation>„{}“ steht im Blatt, und die Tabelle hat keine Spalte „{}“.{}</translation>
    </message>
    <message>
      <source>“{}” takes a second value: the size of its window in pixels, such as 5.</source>
      <translation>„{}“ nimmt einen zweiten Wert: die Größe seines Fensters in Pixeln, etwa 5.</translation>
    </message>
    <message>
      <source>“{}” takes {}, not {}.</source>
      <translation>„{}“ nimmt {}, nicht {}.</translation>
    </message>
    <message>
      <source>“{}” was made from something that is gone; make it again, or delete it.</source>
      <translation>„{}“ wurde aus etwas gemacht, das fort ist; machen Sie es noch einmal, oder löschen Sie es.</translation>
    </message>
    <message>
      <source>“{}” was not placed by a plan, so it cannot be topped up by one.</source>
      <translation>„{}“ wurde von keinem Plan gesetzt und kann daher von keinem aufgefüllt werden.</translation>
    </message>
    <message>
      <source>“{}” was placed by another plan; only the numbers of points may differ when it is topped up.</source>
      <translation>„{}“ wurde von einem anderen Plan gesetzt; beim Auffüllen dürfen sich nur die Zahlen der Punkte unterscheiden.</translation>
    </message>
    <message>
      <source>“{}” was written by a newer Zany Patch (version {} of its format); open it there.</source>
      <translation>„{}“ wurde von einem neueren Zany Patch geschrieben (Fassung {} seines Formats); öffnen Sie es dort.</translation>
    </message>
    <message>
      <source>“{}” {} than the first map; make both on one grid, such as the delivery grid of a study.</source>
      <translation>„{}“ {} als die erste Karte; machen Sie beide auf einem Gitter, etwa dem Liefergitter einer Studie.</translation>
    </message>
    <message>
      <source>“{}”: {}</source>
      <translation>„{}“: {}</translation>
    </message>
    <message>
      <source>← →</source>
      <translation>← →</translation>
    </message>
    <message>
      <source>← →, with Shift finer</source>
      <translation>← →, mit Umschalt feiner</translation>
    </message>
    <message>
      <source>↑ ↓</source>
      <translation>↑ ↓</translation>
    </message>
    <message>
      <source>┊ in proportion to area</source>
      <translation>┊ nach Fläche</translation>
    </message>
    <message>
      <source>○ the first   ● the second.</source>
      <translation>○ die erste   ● die zweite.</translation>
    </message>
  </context>
</TS>
