package hamper.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hamper.address.IpAddress;
import hamper.address.Protocol;
import hamper.display.Adapter;
import hamper.display.Controller;
import hamper.display.Plan;
import hamper.display.Prop;
import hamper.display.Subnet;
import hamper.sample.Samples;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What new controllers and copies start with, and what follows when something else changes. */
class NewThingsTest {
  private static Optional<IpAddress> address(String text) {
    return Optional.of(new IpAddress(text));
  }

  private static Plan plan() {
    Plan bare = Samples.plan(List.of(Samples.string("star", 10)));
    Subnet show =
        new Subnet(
            "s",
            "Show",
            new IpAddress("198.51.100.0"),
            24,
            address("198.51.100.3"),
            address("198.51.100.9"));
    return bare.with(bare.display().withSubnets(List.of(show)));
  }

  private static Plan add(Plan plan, String model, String... ids) {
    return new AddControllers(model, List.of(ids)).applyTo(plan).plan();
  }

  @Test
  void devicesGetTheNextTagsAndAddressesTheFirstProtocolAndAHost() {
    String device = Samples.model().id();
    String host = Samples.host().id();
    Plan after = add(add(plan(), host, "h"), device, "a", "b");
    assertThat(after.display().controllers())
        .extracting(Controller::tag)
        .containsExactly("H1", "K1", "K2");
    // .1 is the router's, .3 to .9 are given out
    assertThat(after.display().controllers())
        .extracting(one -> one.address().orElseThrow().text())
        .containsExactly("198.51.100.2", "198.51.100.10", "198.51.100.11");
    assertThat(after.existingController("a").protocol())
        .isEqualTo(Samples.model().protocols().get(0).protocol());
    assertThat(after.existingController("a").settings().source()).contains("h");
    assertThat(after.existingController("h").protocol()).isEqualTo(Protocol.NONE);
    assertThat(after.existingController("h").settings().source()).isEmpty();
    assertThat(add(after, device, "c").existingController("c").tag()).isEqualTo("K3");
    assertThatThrownBy(() -> add(after, device, "a")).hasMessageContaining("has this id already");
    assertThatThrownBy(() -> add(after, "nothing", "z")).hasMessageContaining("no device model");
  }

  @Test
  void whereThereIsNoSubnetThereIsNoAddress() {
    Plan after = add(Samples.plan(List.of()), Samples.model().id(), "a");
    assertThat(after.existingController("a").address()).isEmpty();
  }

  @Test
  void copiesTakeTheNextNumbersThatNobodyHas() {
    Prop second =
        new Prop(
            "x", "star 2", Optional.empty(), Optional.empty(), Samples.string("x", 3).pieces());
    Plan plan = Samples.plan(List.of(Samples.string("star", 10), second));
    Plan after = new DuplicateProp("star", List.of("p", "q"), false).applyTo(plan).plan();
    assertThat(after.display().props())
        .extracting(Prop::name)
        .containsExactly("star", "star 3", "star 4", "star 2");
  }

  @Test
  void anAdapterWithTheAddressOfItsHostFollowsIt() {
    Plan added = add(plan(), Samples.host().id(), "h");
    Controller host = added.existingController("h");
    Controller two =
        host.withAdapters(
            List.of(
                new Adapter("show", new IpAddress("198.51.100.2")),
                new Adapter("office", new IpAddress("192.0.2.7"))));
    Plan plan = EditsBetween.fields(host, two).applyTo(added).plan();
    Controller moved = two.withSettings(two.settings().withAddress(address("198.51.100.77")));
    Plan after = EditsBetween.fields(two, moved).applyTo(plan).plan();
    assertThat(after.existingController("h").adapters())
        .extracting(adapter -> adapter.address().text())
        .containsExactly("198.51.100.77", "192.0.2.7");
  }

  @Test
  void whatIsThereAlreadyIsNotAddedAgain() {
    Plan plan = plan();
    assertThatThrownBy(() -> new PutProps(plan.display().props()).applyTo(plan))
        .hasMessageContaining("say what changes of it");
  }
}
