# Warnings are errors in our own code; sanitizers come from the preset.
add_library(zp_options INTERFACE)
target_compile_options(zp_options INTERFACE -Wall -Wextra -Wpedantic -Wshadow -Wnon-virtual-dtor
                                            -Woverloaded-virtual -Werror)
if(ZP_SANITIZE)
  # With the sanitizers GCC 12 takes std::regex and std::function for uninitialised: GCC bug 105562.
  if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
    target_compile_options(zp_options INTERFACE -Wno-maybe-uninitialized)
  endif()
  if(ZP_SANITIZE STREQUAL "thread")
    set(sanitizers -fsanitize=thread -Wno-tsan)
  else()
    set(sanitizers -fsanitize=address,undefined -fno-sanitize-recover=undefined)
  endif()
  target_compile_options(zp_options INTERFACE ${sanitizers} -fno-omit-frame-pointer)
  target_link_options(zp_options INTERFACE ${sanitizers})
endif()

# zp_subject(NAME [APART] LINKS target...): one core subject from core/NAME. APART: its files are
# compiled
# one by one, since some of them call what they keep to themselves alike.
# Its headers are reached as "NAME/header.h" through a folder that holds this subject alone, so a
# file that includes a subject it does not link is not compiled.
function(zp_subject name)
  cmake_parse_arguments(ARG "APART" "" "LINKS" ${ARGN})
  file(GLOB_RECURSE sources CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/${name}/*.cpp)
  list(FILTER sources EXCLUDE REGEX "_kernel\\.cpp$")
  add_library(zp_${name} STATIC ${sources})
  add_library(zp::${name} ALIAS zp_${name})
  set(door ${CMAKE_BINARY_DIR}/include/${name})
  file(MAKE_DIRECTORY ${door})
  file(CREATE_LINK ${CMAKE_CURRENT_SOURCE_DIR}/${name} ${door}/${name} SYMBOLIC)
  target_include_directories(zp_${name} PUBLIC ${door})
  target_link_libraries(zp_${name} PUBLIC ${ARG_LINKS} PRIVATE zp_options)
  target_precompile_headers(zp_${name} REUSE_FROM zp_heavy)
  target_compile_options(zp_${name} PRIVATE $<$<CXX_COMPILER_ID:GNU>:-fpch-preprocess>)
  if(NOT ARG_APART)
    zp_together(zp_${name})
  endif()
endfunction()

# zp_together(TARGET): some files of a target are compiled as one, so that what they all include is read
# once. What such files keep to themselves needs names of its own.
function(zp_together target)
  set_target_properties(${target} PROPERTIES UNITY_BUILD ON UNITY_BUILD_BATCH_SIZE 6)
endfunction()

# zp_kernel(TARGET FILE option...): the same source for baseline x86-64 and for x86-64-v3, as namespaces
# `baseline` and `v3`; the caller chooses at run time with base/cpu.h.
function(zp_kernel target file)
  get_filename_component(stem ${file} NAME_WE)
  foreach(level baseline v3)
    set(object ${target}_${stem}_${level})
    add_library(${object} OBJECT ${file})
    target_compile_definitions(${object} PRIVATE ZP_LEVEL=${level})
    target_compile_options(${object} PRIVATE -O3 -Wno-psabi ${ARGN})
    target_include_directories(${object} PRIVATE $<TARGET_PROPERTY:${target},INCLUDE_DIRECTORIES>)
    target_link_libraries(${object} PRIVATE zp_options)
    if(level STREQUAL v3)
      target_compile_options(${object} PRIVATE -march=x86-64-v3)
    endif()
    target_sources(${target} PRIVATE $<TARGET_OBJECTS:${object}>)
  endforeach()
endfunction()

# zp_precompiled(TARGET header...): what every file of a target includes is read once. The second
# option lets ccache keep what was compiled with it.
function(zp_precompiled target)
  target_compile_options(${target} PRIVATE $<$<CXX_COMPILER_ID:GNU>:-fpch-preprocess>)
  target_precompile_headers(${target} PRIVATE ${ARGN})
endfunction()
