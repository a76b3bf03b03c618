package hamper.server.api;

import hamper.display.Plan;
import hamper.facts.Facts;
import hamper.progress.Claim;
import hamper.progress.Claim.Verdict;
import hamper.progress.Progress;
import hamper.progress.Stage;
import hamper.progress.StringFact;
import hamper.progress.StringFact.Noted;
import hamper.progress.StringFact.Reached;
import hamper.progress.StringFact.Settled;
import hamper.progress.StringFact.Trouble;
import hamper.progress.StringFact.Urgency;
import hamper.progress.StringFact.What;
import hamper.server.crew.Entrance;
import hamper.server.handover.StringProgress;
import hamper.server.handover.StringProgress.Said;
import hamper.server.live.Displays;
import hamper.server.store.CrewKey;
import hamper.server.store.CrewKey.Right;
import hamper.value.Foreign;
import hamper.value.RefusedException;
import hamper.value.Require;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the crew says of strings, maybe long after it was said. */
@RestController
@RequestMapping("/crew/api/claims")
@Tag(name = "crew")
class CrewClaims {
  /** Of one request; who has more sends them in several. */
  private static final int MOST = 100;

  private static final int LONGEST_SOCKET = 160;
  private static final int LONGEST_PRINT = 128;

  /** A phone that was out of reach for longer is not believed when it says when (ms): a month. */
  private static final long MOST_AGO = Duration.ofDays(31).toMillis();

  private final Displays displays;
  private final StringProgress progress;

  CrewClaims(Displays displays, StringProgress progress) {
    this.displays = displays;
    this.progress = progress;
  }

  /** What is said of a string. */
  enum ClaimKind {
    REACHED(Right.TICK),
    TAKEN_BACK(Right.TICK),
    TROUBLE(Right.NOTE),
    SETTLED(Right.NOTE),
    NOTED(Right.NOTE);

    private final Right right;

    ClaimKind(Right right) {
      this.right = right;
    }
  }

  /**
   * @param id given to it where it was said: sent again under the same, it is there once
   * @param by who said it
   * @param millisAgo how long ago it was said, by the clock of whoever said it (ms)
   * @param stage reached, or taken back to
   * @param socket the port that it hung on, as the page showed it: controller/kind/number; left
   *     out: the one that the plan has now
   * @param print the one word of the string as the page had it, where it was seen right
   * @param text of a note, or the reason of trouble
   * @param photo name of one that was kept
   */
  record CrewClaim(
      String id,
      String piece,
      String by,
      long millisAgo,
      ClaimKind kind,
      Optional<Stage> stage,
      Optional<String> socket,
      Optional<String> print,
      Optional<String> text,
      Optional<Urgency> urgency,
      Optional<String> owner,
      Optional<String> photo) {
    CrewClaim {
      Require.id("id", id);
      Require.id("piece", piece);
      Require.name("by", by);
      Require.that(
          millisAgo >= 0 && millisAgo <= MOST_AGO,
          "millisAgo",
          Long.toString(millisAgo),
          "0 to " + MOST_AGO);
      socket.ifPresent(one -> Require.text("socket", one, LONGEST_SOCKET));
      print.ifPresent(one -> Require.text("print", one, LONGEST_PRINT));
    }

    private What what(Plan plan) {
      return switch (kind) {
        case REACHED, TAKEN_BACK ->
            new Reached(
                stage.orElseThrow(
                    () -> new RefusedException("stage", "none", "say which stage is meant")),
                socket.or(() -> plan.leg(piece).map(leg -> Progress.key(leg.port()))));
        case TROUBLE ->
            new Trouble(text.orElse(""), urgency.orElse(Urgency.TONIGHT), owner.orElse(""), photo);
        case SETTLED -> new Settled();
        case NOTED -> new Noted(text.orElse(""), photo);
      };
    }

    Said said(Plan plan, Instant now) {
      String who = Foreign.line(by, Require.LONGEST_NAME);
      StringFact fact = new StringFact(piece, now.minusMillis(millisAgo), who, what(plan));
      return new Said(id, new Claim(fact, kind == ClaimKind.TAKEN_BACK), print);
    }
  }

  /** At most 100, in the order in which they were said. */
  record CrewClaimed(List<CrewClaim> claims) {
    CrewClaimed {
      claims = List.copyOf(claims);
      Require.inRange("claims", claims.size(), 1, MOST);
    }
  }

  /**
   * What became of a claim.
   *
   * @param verdict left out: it was refused
   * @param refused why
   */
  record CrewVerdict(String id, Optional<Verdict> verdict, Optional<String> refused) {}

  @PostMapping
  @Operation(
      summary =
          "Say what was done with strings: each is added, agreed to, overtaken by what was said"
              + " later, or refused by itself")
  List<CrewVerdict> claim(@RequestBody CrewClaimed claimed, HttpServletRequest request) {
    CrewKey key = Entrance.of(request);
    Facts facts = displays.get(key.display()).look().facts();
    Plan plan = facts.plan();
    Instant now = Instant.now().truncatedTo(ChronoUnit.MILLIS);
    List<CrewVerdict> refused = new ArrayList<>();
    List<Said> said = new ArrayList<>();
    for (CrewClaim one : claimed.claims()) {
      try {
        Require.that(
            key.may().contains(one.kind().right),
            "kind",
            one.kind().name(),
            "your key does not allow this; ask whoever planned it");
        Said made = one.said(plan, now);
        progress.checkPossible(plan, made.claim());
        said.add(made);
      } catch (RefusedException e) {
        refused.add(new CrewVerdict(one.id(), Optional.empty(), Optional.of(e.getMessage())));
      }
    }
    Map<String, Verdict> verdicts =
        said.isEmpty() ? Map.of() : progress.claim(key.display(), facts, said);
    List<CrewVerdict> all = new ArrayList<>(refused);
    verdicts.forEach(
        (id, verdict) -> all.add(new CrewVerdict(id, Optional.of(verdict), Optional.empty())));
    return all;
  }
}
