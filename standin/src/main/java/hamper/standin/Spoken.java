package hamper.standin;

/** In which protocol levels come. */
enum Spoken {
  E131,
  ARTNET,
  DDP
}
