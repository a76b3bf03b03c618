package hamper.edit;

/** Removes a subnet. */
public record RemoveSubnet(String subnet) implements RemovesOne {
  @Override
  public Kind<?> kind() {
    return Kind.SUBNETS;
  }
}
