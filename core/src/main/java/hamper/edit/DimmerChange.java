package hamper.edit;

/** What changes of a serial dimmer. */
public record DimmerChange(Change<String> name, Change<Integer> unit, Change<Integer> circuits)
    implements PieceChange {}
