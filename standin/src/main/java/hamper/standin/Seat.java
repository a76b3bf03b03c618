package hamper.standin;

import tools.jackson.databind.JsonNode;

/**
 * A device before anybody has told it anything.
 *
 * @param controller which of the display's it stands in for
 * @param model its entry of a catalogue: what it is
 */
public record Seat(String controller, JsonNode model) {
  public String modelId() {
    return model.get("id").asString();
  }
}
