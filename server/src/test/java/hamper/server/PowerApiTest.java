package hamper.server;

import static org.assertj.core.api.Assertions.assertThat;

import hamper.server.Started.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Feeds, supplies and mains circuits over the API, and that they are there after a restart. */
class PowerApiTest extends ApiCase {
  private JsonNode run(String where, String edit) {
    String tried = edit.isEmpty() ? "" : ",\"edit\":" + edit;
    return server.post(path("/power/run"), "{\"port\":%s%s}".formatted(where, tried)).body();
  }

  private static final String K8_2 = "{\"controller\":\"k8\",\"kind\":\"PIXEL\",\"port\":2}";

  private static String feeds(String feed) {
    return "{\"type\":\"AddFeeds\",\"piece\":\"pontoon-1\",\"feeds\":[%s]}".formatted(feed);
  }

  @Test
  void everythingOfPowerIsThereAfterARestart() {
    String[] edits = {
      "{\"type\":\"PutMainsCircuit\",\"mains\":{\"id\":\"m\",\"name\":\"Post\",\"volts\":120.0,\"amps\":15.0,\"otherWatts\":5.0}}",
      "{\"type\":\"PutSupply\",\"supply\":{\"id\":\"s\",\"name\":\"Small\",\"volts\":12.0,\"amps\":5.0,\"mains\":\"m\",\"efficiencyPercent\":90}}",
      feeds(
          "{\"supply\":\"s\",\"position\":99,\"leadMetres\":1.5,\"gauge\":\"0.75 mm²\",\"fuseAmps\":3.0}"),
      "{\"type\":\"SetFeed\",\"piece\":\"pontoon-1\",\"index\":0,\"set\":{\"position\":98,\"fuseAmps\":null}}",
      "{\"type\":\"SetSupplies\",\"supplies\":[\"s\"],\"set\":{\"amps\":6,\"efficiencyPercent\":null}}",
      "{\"type\":\"SetMainsCircuits\",\"mains\":[\"m\"],\"set\":{\"otherWatts\":50}}",
      "{\"type\":\"SetMainsCircuits\",\"mains\":[\"m\"],\"set\":{\"breaker\":\"C\",\"residualMilliamps\":30}}",
      "{\"type\":\"PutEnclosure\",\"enclosure\":{\"id\":\"e\",\"name\":\"Post\",\"mains\":\"m\",\"switches\":[8,5]}}",
      "{\"type\":\"SetEnclosures\",\"enclosures\":[\"e\"],\"set\":{\"zone\":\"boats\"}}",
      "{\"type\":\"SetControllers\",\"controllers\":[\"k8\"],\"set\":{\"settings\":{\"enclosure\":\"e\"}}}",
      "{\"type\":\"SetSupplies\",\"supplies\":[\"s\"],\"set\":{\"enclosure\":\"e\",\"leakageMilliamps\":2,\"switchOnAmps\":30}}",
      "{\"type\":\"PutLink\",\"link\":{\"id\":\"l\",\"name\":\"N9\",\"from\":\"e\",\"to\":\"box-wall\",\"kind\":\"COPPER\",\"metres\":40}}",
      "{\"type\":\"SetLinks\",\"links\":[\"l\"],\"set\":{\"kind\":\"FIBRE\"}}",
      "{\"type\":\"SetSubnets\",\"subnets\":[\"air\"],\"set\":{\"multicast\":\"FLOODS\"}}",
      "{\"type\":\"SetPieces\",\"pieces\":[\"bell-1\"],\"set\":{\"kind\":\"circuit\",\"interlock\":\"bell\",\"shortestOnSeconds\":0.5}}",
      "{\"type\":\"PowerInput\",\"controller\":\"k1\",\"input\":1,\"supply\":\"s\"}",
      "{\"type\":\"SetLegs\",\"pieces\":[\"pontoon-1\"],\"set\":{\"cut\":[\"POSITIVE\"]}}",
      "{\"type\":\"SetLegs\",\"pieces\":[\"pontoon-1\"],\"set\":{\"nullPixels\":1,\"cableMetres\":2.0,\"cableGauge\":\"AWG 14\"}}"
    };
    for (String edit : edits) {
      assertThat(edit(edit).status()).as(edit).isEqualTo(200);
    }
    JsonNode before = whole();
    assertThat(before.get("power").toString()).contains("Small", "Post");
    assertThat(before.get("network").toString()).contains("N9", "FLOODS", "FIBRE");
    restart();
    assertThat(whole()).isEqualTo(before);
    for (int i = 0; i < edits.length; i++) {
      int version = whole().get("version").asInt();
      server.post(path("/undo"), "{\"version\":%d}".formatted(version));
    }
    assertThat(whole().get("power").toString()).doesNotContain("Small", "Post");
    assertThat(whole().get("findings")).hasSize(15);
  }

  @Test
  void aRunIsSolvedAsItIsAndWithAFeedThatIsOnlyTried() {
    JsonNode now = run(K8_2, "");
    assertThat(now.at("/power/volts/volts").asDouble()).isBetween(7.69, 7.71);
    assertThat(now.at("/power/volts/told").asString()).matches("7\\.(69|70|71) V");
    assertThat(now.at("/power/volts/leastTold").asString()).isEqualTo("9.50 V");
    assertThat(now.at("/power/feeds")).hasSize(1);
    assertThat(now.at("/curves/planned").size()).isGreaterThan(100);
    JsonNode tried =
        run(K8_2, feeds("{\"supply\":\"supply-boats\",\"position\":1,\"fuseAmps\":5.0}"));
    assertThat(tried.at("/power/volts/volts").asDouble()).isGreaterThan(9.5);
    assertThat(tried.at("/power/feeds")).hasSize(2);
    assertThat(tried.at("/curves/without")).hasSize(2);
    assertThat(whole().get("version").asInt()).isEqualTo(1);
    JsonNode relay = run("{\"controller\":\"k7\",\"kind\":\"RELAY\",\"port\":1}", "");
    assertThat(relay.has("power")).isFalse();
  }

  @Test
  void feedsForEveryRunThatWantsSomeAreOneEdit() {
    JsonNode plan = server.post(path("/power/feeds"), "").body();
    assertThat(plan.get("runs").asInt()).isEqualTo(1);
    assertThat(plan.get("feeds").asInt()).isEqualTo(2);
    assertThat(plan.get("left")).isEmpty();
    Answer made = edit(plan.get("edit").toString());
    assertThat(made.body().get("label").asString()).isEqualTo("Add 2 feeds to 1 run");
    assertThat(whole().get("findings").toString()).doesNotContain("voltage-low", "fuse-load");
  }

  @Test
  void whatCannotBeIsRefusedAndNothingIsKept() {
    Answer nobody = edit(feeds("{\"supply\":\"nobody\",\"position\":1}"));
    assertThat(nobody.status()).isEqualTo(422);
    assertThat(nobody.text()).contains("nobody");
    Answer gauge = edit(feeds("{\"supply\":\"supply-boats\",\"position\":1,\"gauge\":\"AWG 17\"}"));
    assertThat(gauge.status()).isEqualTo(422);
    assertThat(gauge.text()).contains("AWG 17", "0.75 mm²");
    assertThat(whole().get("version").asInt()).isEqualTo(1);
  }
}
