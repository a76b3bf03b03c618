package hamper.catalog;

/** How a device is handed its configuration. */
public enum HandoverWay {
  NETWORK,
  FILE_ON_CARD,
  BY_HAND
}
