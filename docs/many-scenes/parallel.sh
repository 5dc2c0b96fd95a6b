#!/usr/bin/env bash
# parallel.sh SHEET SCENES FOLDER [AT-ONCE]: the rows of SCENES, so many at once, by GNU parallel. It
# goes on after a row that fails, and started again it does what is missing.
set -u
sheet=$1 scenes=$2 folder=$3 jobs=${4:-2}
parts=$((4 * jobs))
mkdir -p "$folder"
# Several parts for each that runs at once, so that none waits long for the last.
seq "$parts" | parallel --jobs "$jobs" --halt never \
  zpatch --threads 1 run "$sheet" --over "$scenes" --into "$folder" --part "{}/$parts"
failed=$?
zpatch gather "$folder"/results-*-of-"$parts".csv --out "$folder/results.csv" --replace
exit "$failed"
