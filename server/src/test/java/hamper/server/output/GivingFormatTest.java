package hamper.server.output;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import hamper.facts.Facts;
import hamper.files.CatalogueFiles;
import hamper.samples.RandomYards;
import hamper.send.FrameLayout;
import hamper.send.FrameLayouts;
import hamper.standin.Clock;
import hamper.standin.Place;
import hamper.standin.StandIns;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;

/** What stand-ins answer is what docs/formats/giving.schema.json says. */
class GivingFormatTest {
  private final Door door = new Door();
  private int answers;

  @Test
  void answersAreAsTheFormatSays() throws Exception {
    Schema schema =
        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(Files.readString(Path.of("../docs/formats/giving.schema.json")));
    for (long seed = 1; seed <= 12; seed++) {
      Facts facts = Facts.of(RandomYards.of(CatalogueFiles.shipped(), seed));
      try (StandIns all = StandIns.start(Seats.of(facts), Clock.system());
          Source source = Source.create()) {
        Giving giving = new Giving(door, UnaryOperator.identity());
        Map<String, Giving.Gift> gifts = Giving.all(facts);
        for (var one : all.places().entrySet()) {
          giving.give(one.getValue(), gifts.get(one.getKey()));
        }
        Map<String, FrameLayout> layouts = FrameLayouts.of(facts);
        new FrameSender(source, layouts, new StandInRoutes(all.places(), layouts))
            .sendAll(to -> {});
        for (Place at : all.places().values()) {
          for (String what : List.of("identity", "state", "counters", "nothing")) {
            assertThat(schema.validate(door.get(at, what).body())).as(what).isEmpty();
            answers++;
          }
          byte[] wrong = "{}".getBytes(StandardCharsets.UTF_8);
          assertThat(schema.validate(door.put(at, "configuration", wrong).body())).isEmpty();
        }
      }
    }
    assertThat(answers).isGreaterThan(60);
  }
}
