package hamper.server.output;

import hamper.catalog.PortKind;
import hamper.config.Configuration;
import hamper.display.HungLeg;
import hamper.facts.ControllerFacts;
import hamper.facts.Facts;
import hamper.files.ConfigurationFiles;
import hamper.files.UnitFiles;
import hamper.standin.Place;
import hamper.value.Foreign;
import java.io.IOException;
import java.net.ConnectException;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  /** Longest serial number or revision that is kept (characters). */
  private static final int MOST_IDENTITY = 80;

  private final Door door;
  private final UnaryOperator<byte[]> onTheWay;

  /**
   * @param onTheWay what becomes of a document on its way: of tests
   */
  public Giving(Door door, UnaryOperator<byte[]> onTheWay) {
    this.door = door;
    this.onTheWay = onTheWay;
  }

  /** A document without cards, such as one that was given before. */
  public static Gift of(Configuration configuration) {
    return new Gift(
        configuration.model(), ConfigurationFiles.bytes(ConfigurationFiles.json(configuration)));
  }

  /** For every controller that packets go to, by its id. */
  public static Map<String, Gift> all(Facts facts) {
    Map<String, Configuration> documents = new LinkedHashMap<>();
    facts.configurations().forEach(one -> documents.put(one.controller(), one));
    Map<String, Gift> gifts = new LinkedHashMap<>();
    for (ControllerFacts own : facts.controllers()) {
      if (Seats.isSentTo(facts, own.controller())) {
        Gift gift = of(documents.get(own.controller().id()));
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

  /** How it went. */
  public enum Result {
    /** It had all of it already: nothing was sent but the word to keep it. */
    HAD,
    /** It took all of it, which was read back. */
    TOOK,
    /** It has all of it, and does not keep it. */
    NOT_KEPT,
    /** It said no, or is none that may be given this: it has what it had. */
    REFUSED,
    /** It is another unit than the one that was given before; nothing was sent. */
    OTHER_UNIT,
    /** It went away or answered nonsense half-way: nobody knows what it has. */
    LOST,
    /** What it says that it has is not what it was given. */
    DIFFERENT,
    /** It could not be reached, so nothing was sent. */
    AWAY
  }

  /**
   * @param why in words, where something went otherwise than it should
   * @param serial of the device, where it said one
   * @param revision of the device, where it said one
   * @param has the document that it says it has, where it is different
   */
  public record Outcome(
      Result result, String why, String serial, String revision, Optional<JsonNode> has) {
    /** Whether it has what is planned. */
    public boolean done() {
      return result == Result.HAD || result == Result.TOOK || result == Result.NOT_KEPT;
    }

    /** Why it has not what is planned; empty where it has. */
    public String refused() {
      return done() ? "" : why;
    }
  }

  /**
   * What is known of a device before it is given anything.
   *
   * @param serial of the unit that was given before; empty: any unit will do
   * @param sending told right before the first thing is sent that changes the device
   * @param keep whether it is to keep what it takes when its power goes
   */
  public record Known(Optional<String> serial, Runnable sending, boolean keep) {
    /** Of a device that is given something for the moment. */
    public static final Known NOTHING = new Known(Optional.empty(), () -> {}, false);
  }

  /**
   * Gives a device what is planned for it; what it has already is not given again.
   *
   * @return why it has not what is planned; empty where it has
   */
  public String give(Place at, Gift gift) throws InterruptedException {
    return give(at, gift, Known.NOTHING).refused();
  }

  /** Gives a device what is planned for it: who it is, all of it, read back, kept. */
  public Outcome give(Place at, Gift gift, Known known) throws InterruptedException {
    Visit visit = new Visit(at);
    try {
      return visit.give(gift, known);
    } catch (IOException e) {
      return visit.gone(e);
    }
  }

  /** Asks a device what it has. */
  public Outcome ask(Place at, Gift planned, Known known) throws InterruptedException {
    Visit visit = new Visit(at);
    try {
      return visit.ask(planned, known);
    } catch (IOException e) {
      return visit.gone(e);
    }
  }

  /** One device at its door. */
  private final class Visit {
    private final Place at;
    private JsonNode identity = Door.JSON.createObjectNode();
    private boolean sent;

    Visit(Place at) {
      this.at = at;
    }

    Outcome give(Gift gift, Known known) throws IOException, InterruptedException {
      Outcome stranger = stranger(gift, known);
      if (stranger != null) {
        return stranger;
      }
      byte[] document = onTheWay.apply(gift.document);
      boolean had = has(document);
      if (!had) {
        sending(known);
        Door.Answer answer = door.put(at, "configuration", document);
        if (answer.failed()) {
          return told(Result.LOST, "it answered %s".formatted(answer.refused()));
        }
        if (!answer.refused().isEmpty()) {
          return told(Result.REFUSED, answer.refused());
        }
        Door.Answer now = door.get(at, "configuration");
        if (!isSame(document, now)) {
          return different(now);
        }
      }
      for (var card : gift.cards.entrySet()) {
        String refused = door.put(at, card.getKey(), card.getValue()).refused();
        if (!refused.isEmpty()) {
          return told(Result.REFUSED, "a card: " + refused);
        }
      }
      return kept(known, had ? Result.HAD : Result.TOOK);
    }

    private Outcome kept(Known known, Result result) throws IOException, InterruptedException {
      String unkept = known.keep() ? door.post(at, "keep").refused() : "";
      return unkept.isEmpty()
          ? told(result, "")
          : told(Result.NOT_KEPT, "it does not keep it: " + unkept);
    }

    private void sending(Known known) {
      known.sending().run();
      sent = true;
    }

    /** What it has, compared with what is planned. */
    Outcome ask(Gift planned, Known known) throws IOException, InterruptedException {
      Outcome stranger = stranger(planned, known);
      if (stranger != null) {
        return stranger;
      }
      Door.Answer now = door.get(at, "configuration");
      return isSame(planned.document, now) ? kept(known, Result.HAD) : different(now);
    }

    private Outcome different(Door.Answer now) {
      if (now.status() == 404) {
        return told(Result.DIFFERENT, "it has no configuration");
      }
      return now.status() == 200
          ? new Outcome(
              Result.DIFFERENT,
              "what it says that it has is not what it was given",
              text("serial"),
              text("revision"),
              Optional.of(now.body()))
          : told(Result.LOST, "it answered %s".formatted(now.refused()));
    }

    private boolean has(byte[] document) throws IOException, InterruptedException {
      return isSame(document, door.get(at, "configuration"));
    }

    /** Nothing is given to a device that says that it is another. */
    private Outcome stranger(Gift gift, Known known) throws IOException, InterruptedException {
      Door.Answer answer = door.get(at, "identity");
      if (!answer.refused().isEmpty()) {
        return told(Result.AWAY, answer.refused());
      }
      identity = answer.body();
      String model = text("model");
      if (!model.equals(gift.model)) {
        return told(
            Result.REFUSED,
            "it says that it is a %s, planned is a %s".formatted(model, gift.model));
      }
      String here = text("address");
      if (!here.equals(at.address())) {
        return told(
            Result.REFUSED,
            "it says that its address is %s, it answers at %s".formatted(here, at.address()));
      }
      boolean other = known.serial().filter(serial -> !serial.equals(text("serial"))).isPresent();
      return other
          ? told(
              Result.OTHER_UNIT,
              "it has serial number %s, given before was %s"
                  .formatted(text("serial"), known.serial().orElseThrow()))
          : null;
    }

    private String text(String field) {
      return Foreign.line(identity.path(field).asString(""), MOST_IDENTITY);
    }

    private Outcome told(Result result, String why) {
      return new Outcome(result, why, text("serial"), text("revision"), Optional.empty());
    }

    /** It did not answer, or something that is no answer. */
    Outcome gone(IOException e) {
      String how = e instanceof HttpTimeoutException ? "it does not answer" : "it is not there";
      String why =
          e.getMessage() == null
                  || e instanceof HttpTimeoutException
                  || e instanceof ConnectException
              ? how
              : "%s: %s".formatted(how, e.getMessage());
      return told(sent ? Result.LOST : Result.AWAY, why);
    }
  }

  private static boolean isSame(byte[] document, Door.Answer now) {
    return now.status() == 200
        && Door.JSON.readTree(document).get("told").equals(now.body().get("told"));
  }
}
