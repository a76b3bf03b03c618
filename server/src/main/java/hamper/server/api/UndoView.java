package hamper.server.api;

import java.util.Optional;

/** What undo and redo would do, in words. */
public record UndoView(Optional<String> undo, Optional<String> redo) {}
