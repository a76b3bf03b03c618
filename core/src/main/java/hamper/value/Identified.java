package hamper.value;

/** Something with an id, by which others refer to it. */
public interface Identified {
  String id();
}
