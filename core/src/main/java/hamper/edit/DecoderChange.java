package hamper.edit;

/** What changes of a strip decoder. */
public record DecoderChange(
    Change<String> name, Change<Integer> slot, Change<Integer> pixels, Change<Integer> ledsPerPixel)
    implements PieceChange {}
