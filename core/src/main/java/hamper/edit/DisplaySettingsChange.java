package hamper.edit;

import hamper.display.DisplaySettings;
import hamper.display.ShowHours;

/** What changes of what holds for a whole display. */
public record DisplaySettingsChange(
    Change<Integer> firstUniverse,
    Change<Integer> universeStride,
    Change<Integer> framesPerSecond,
    Change<Boolean> keepsStill,
    Change<ShowHours> showHours)
    implements ChangeOf<DisplaySettings> {}
