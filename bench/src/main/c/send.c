/* A plain loop of sendto, for comparison: datagrams of one size to several loopback addresses in
 * turn, each with new levels and its next number. Prints datagrams a second. */
#include <arpa/inet.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/socket.h>
#include <time.h>

static double seconds(void) {
  struct timespec now;
  clock_gettime(CLOCK_MONOTONIC, &now);
  return now.tv_sec + now.tv_nsec / 1e9;
}

/* seconds, size, slots at, universes, addresses ... */
int main(int argc, char **argv) {
  if (argc < 6) return 2;
  double length = atof(argv[1]);
  int size = atoi(argv[2]), at = atoi(argv[3]), universes = atoi(argv[4]);
  int count = argc - 5;
  struct sockaddr_in *to = calloc(count, sizeof *to);
  for (int i = 0; i < count; i++) {
    to[i].sin_family = AF_INET;
    to[i].sin_port = htons(5568);
    if (inet_pton(AF_INET, argv[5 + i], &to[i].sin_addr) != 1) return 2;
    if ((ntohl(to[i].sin_addr.s_addr) >> 24) != 127) return 2; /* this machine only */
  }
  int out = socket(AF_INET, SOCK_DGRAM, 0);
  unsigned char *packets = calloc(universes, size), *levels = calloc(1, size);
  long sent = 0;
  double begin = seconds(), now = begin;
  for (int frame = 0; now - begin < length; frame++) {
    memset(levels, frame & 255, size - at);
    for (int u = 0; u < universes; u++) {
      unsigned char *packet = packets + (long)u * size;
      memcpy(packet + at, levels, size - at);
      packet[111]++;
      if (sendto(out, packet, size, 0, (struct sockaddr *)&to[u % count], sizeof *to) == size) sent++;
    }
    now = seconds();
  }
  printf("%.0f\n", sent / (now - begin));
  return 0;
}
