package app.matsuri.server.storage;

import org.jspecify.annotations.Nullable;

/**
 * That decisions are not those of the plan but of a what-if beside it.
 *
 * @param id of the what-if
 * @param undo the last of its changes; null for none
 * @param redo the change that was taken back last; null for none
 * @param broken which of its changes can no longer be made, and why; null where all can
 */
public record InWhatIf(
        long id,
        String name,
        @Nullable String undo,
        @Nullable String redo,
        @Nullable String broken) {}
