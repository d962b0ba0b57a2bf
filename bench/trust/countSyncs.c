/* Loaded before the C library of a process: counts its successful fsync and fdatasync in the file that SYNC_COUNT names. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <fcntl.h>
#include <stdint.h>
#include <stdlib.h>
#include <sys/mman.h>
#include <unistd.h>

static uint64_t *count;

__attribute__((constructor)) static void open_count(void) {
  const char *path = getenv("SYNC_COUNT");
  int file = path ? open(path, O_RDWR) : -1;
  if (file < 0) return;
  void *mapped = mmap(NULL, sizeof *count, PROT_READ | PROT_WRITE, MAP_SHARED, file, 0);
  close(file);
  if (mapped != MAP_FAILED) count = mapped;
}

#define COUNTED(name)                                               \
  int name(int file) {                                              \
    int (*next)(int) = (int (*)(int))dlsym(RTLD_NEXT, #name);       \
    int result = next(file);                                        \
    if (result == 0 && count) __atomic_fetch_add(count, 1, __ATOMIC_SEQ_CST); \
    return result;                                                  \
  }

COUNTED(fsync)
COUNTED(fdatasync)
