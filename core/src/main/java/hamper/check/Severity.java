package hamper.check;

/** How bad a finding is, worst first. */
public enum Severity {
  /** Will not work. */
  FAULT,
  /** May not work, or not well. */
  RISK,
  /** Unusual. */
  HINT
}
