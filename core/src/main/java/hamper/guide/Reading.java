package hamper.guide;

/** What a device can be asked; what it says is the key of an answer. */
public enum Reading {
  /** Whether it answers at all: yes, no. */
  POWER,
  /** Who it says that it is: planned, model, unit, address. */
  IDENTITY,
  /** Whether packets arrive: moves, still. */
  PACKETS,
  /** What it says that it was told: planned, nothing, other. */
  CONFIGURATION,
  /** Whether it has quarrelling sources: yes, no. */
  QUARREL,
  /** Whether packets are missing: yes, no. */
  MISSING,
  /** Whether it answers at once: quick, slow. */
  SPEED
}
