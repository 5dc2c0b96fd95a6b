/* Loaded before a program (LD_PRELOAD): ends it with SIGKILL before or after its Nth change of a
 * folder or flush to the disk. ZP_KILL_AT=N, ZP_KILL_AFTER=1 for after it. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <signal.h>
#include <stdatomic.h>
#include <stdlib.h>
#include <string.h>
#include <unistd.h>

static atomic_int steps;

static void step(int after) {
  const char* at = getenv("ZP_KILL_AT");
  const char* when = getenv("ZP_KILL_AFTER");
  const int wanted = at == NULL ? 0 : atoi(at);
  const int wantsAfter = when != NULL && strcmp(when, "1") == 0;
  const int now = after ? atomic_load(&steps) : atomic_fetch_add(&steps, 1) + 1;
  if (wanted > 0 && wanted == now && wantsAfter == after) kill(getpid(), SIGKILL);
}

#define STEP(type, name, declared, given)                     \
  type name declared {                                        \
    static type(*real) declared;                              \
    if (real == NULL) *(void**)&real = dlsym(RTLD_NEXT, #name); \
    step(0);                                                  \
    type result = real given;                                 \
    step(1);                                                  \
    return result;                                            \
  }

STEP(int, rename, (const char* a, const char* b), (a, b))
STEP(int, renameat, (int d, const char* a, int e, const char* b), (d, a, e, b))
STEP(int, link, (const char* a, const char* b), (a, b))
STEP(int, linkat, (int d, const char* a, int e, const char* b, int f), (d, a, e, b, f))
STEP(int, unlink, (const char* a), (a))
STEP(int, unlinkat, (int d, const char* a, int f), (d, a, f))
STEP(int, remove, (const char* a), (a))
STEP(int, fsync, (int d), (d))
STEP(int, fdatasync, (int d), (d))
