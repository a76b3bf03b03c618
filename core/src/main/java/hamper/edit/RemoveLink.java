package hamper.edit;

/** Removes a link. */
public record RemoveLink(String link) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.LINKS;
  }
}
