package hamper.edit;

import hamper.display.Prop;
import java.util.List;

/** Changes settings of props. */
public record SetProps(List<String> props, PropChange set) implements SetsFields<Prop> {
  public SetProps {
    props = Kind.named("props", props);
  }
}
