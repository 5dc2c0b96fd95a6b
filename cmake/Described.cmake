# zp_described(TARGET): the manual page and the completion of the shell of a command, made by itself
# from the texts of its help, and installed.
function(zp_described target)
  set(page ${CMAKE_BINARY_DIR}/described/${target}.1)
  set(completion ${CMAKE_BINARY_DIR}/described/${target})
  file(MAKE_DIRECTORY ${CMAKE_BINARY_DIR}/described)
  add_custom_command(OUTPUT ${page} ${completion}
                     COMMAND $<TARGET_FILE:${target}> --man-page > ${page}
                     COMMAND $<TARGET_FILE:${target}> --bash-completion > ${completion}
                     DEPENDS ${target} VERBATIM)
  add_custom_target(${target}-described ALL DEPENDS ${page}.gz ${completion})
  find_program(ZP_GZIP gzip REQUIRED)
  add_custom_command(OUTPUT ${page}.gz COMMAND ${ZP_GZIP} -9nkf ${page} DEPENDS ${page})
  install(FILES ${page}.gz DESTINATION ${CMAKE_INSTALL_MANDIR}/man1 COMPONENT zany-patch)
  install(FILES ${completion} DESTINATION ${CMAKE_INSTALL_DATADIR}/bash-completion/completions
          COMPONENT zany-patch)
endfunction()
