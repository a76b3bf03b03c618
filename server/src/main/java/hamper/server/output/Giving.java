package hamper.server.output;

import hamper.catalog.PortKind;
import hamper.config.Configuration;
import hamper.display.HungLeg;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.files.ConfigurationFiles;
import hamper.files.UnitFiles;
import hamper.standin.Place;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tools.jackson.databind.JsonNode;

/**
 * Gives devices what is planned: who it is, its document, what it says that it was told, and the
 * cards of what hangs on its lines. docs/formats/giving.md.
 */
public final class Giving {
  /** For one device. */
  public static final class Gift {
    private final String model;
    private final byte[] document;

    /** Documents of strip decoders, each with the way to where its card goes. */
    private final Map<String, byte[]> cards = new LinkedHashMap<>();

    private Gift(String model, byte[] document) {
      this.model = model;
      this.document = document;
    }
  }

  private final Door door;
  private final UnaryOperator<byte[]> onTheWay;

  /**
   * @param onTheWay what becomes of a document on its way: of tests
   */
  public Giving(Door door, UnaryOperator<byte[]> onTheWay) {
    this.door = door;
    this.onTheWay = onTheWay;
  }

  /** For every controller that packets go to, by its id. */
  public static Map<String, Gift> all(Facts facts) {
    Map<String, Configuration> documents = new LinkedHashMap<>();
    facts.configurations().forEach(one -> documents.put(one.controller(), one));
    Map<String, Gift> gifts = new LinkedHashMap<>();
    for (ControllerFacts own : facts.controllers()) {
      if (Seats.isSentTo(facts, own.controller())) {
        Configuration planned = documents.get(own.controller().id());
        Gift gift =
            new Gift(
                own.controller().model(),
                ConfigurationFiles.bytes(ConfigurationFiles.json(planned)));
        cards(facts, own).forEach(gift.cards::put);
        gifts.put(own.controller().id(), gift);
      }
    }
    return gifts;
  }

  private static Map<String, byte[]> cards(Facts facts, ControllerFacts own) {
    Map<String, byte[]> cards = new LinkedHashMap<>();
    own.runs().stream()
        .filter(run -> run.port().kind() == PortKind.DMX)
        .forEach(
            run -> {
              List<HungLeg> legs = new ArrayList<>(run.run().legs());
              for (HungLeg leg : legs) {
                String to = "card/DMX/%d?%s".formatted(run.port().port(), leg.at().piece().id());
                UnitFiles.json(facts.plan(), leg.at())
                    .ifPresent(text -> cards.put(to, text.getBytes(StandardCharsets.UTF_8)));
              }
            });
    return cards;
  }

  /**
   * Gives a device what is planned for it; what it has already is not given again.
   *
   * @return why it has not what is planned; empty where it has
   */
  public String give(Place at, Gift gift) throws IOException, InterruptedException {
    String refused = wrongIdentity(at, gift.model);
    if (refused.isEmpty()) {
      refused = document(at, onTheWay.apply(gift.document));
    }
    for (var card : gift.cards.entrySet()) {
      if (refused.isEmpty()) {
        refused = door.put(at, card.getKey(), card.getValue()).refused();
      }
    }
    return refused;
  }

  private String document(Place at, byte[] document) throws IOException, InterruptedException {
    if (has(at, document)) {
      return "";
    }
    String refused = door.put(at, "configuration", document).refused();
    return refused.isEmpty() && !has(at, document)
        ? "what it says that it was told is not what it was told"
        : refused;
  }

  private boolean has(Place at, byte[] document) throws IOException, InterruptedException {
    Door.Answer now = door.get(at, "configuration");
    return now.status() == 200
        && Door.JSON.readTree(document).get("told").equals(now.body().get("told"));
  }

  /** Nothing is given to a device that says that it is another. */
  private String wrongIdentity(Place at, String planned) throws IOException, InterruptedException {
    Door.Answer answer = door.get(at, "identity");
    if (!answer.refused().isEmpty()) {
      return answer.refused();
    }
    JsonNode body = answer.body();
    String model = body.path("model").asString("");
    String here = body.path("address").asString("");
    if (!model.equals(planned)) {
      return "it says that it is a %s, planned is a %s".formatted(model, planned);
    }
    return here.equals(at.address())
        ? ""
        : "it says that its address is %s, it answers at %s".formatted(here, at.address());
  }
}
