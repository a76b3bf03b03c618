package hamper.edit;

import hamper.display.DisplaySettings;

/** What changes of what holds for a whole display. */
public record DisplaySettingsChange(
    Change<Integer> firstUniverse, Change<Integer> universeStride, Change<Integer> framesPerSecond)
    implements ChangeOf<DisplaySettings> {}
