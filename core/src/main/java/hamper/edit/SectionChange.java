package hamper.edit;

import hamper.address.ColourOrder;
import hamper.display.Hold;
import hamper.display.Section;

/** What changes of a section. */
public record SectionChange(
    Change<Integer> pixels,
    Change<Integer> nullPixels,
    Change<Integer> group,
    Change<Integer> fold,
    Change<Boolean> backward,
    Change<ColourOrder> colourOrder,
    Change<Integer> brightness,
    Change<Hold> hold)
    implements ChangeOf<Section> {}
