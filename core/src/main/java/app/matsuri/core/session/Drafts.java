package app.matsuri.core.session;

import app.matsuri.core.session.Sessions.Lost;
import app.matsuri.core.session.Sessions.Note;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The classes of a section so far, with what was lost and what is to be said of them; each source adds its own. */
final class Drafts {

    final List<Draft> all = new ArrayList<>();
    final List<Lost> lost = new ArrayList<>();
    final List<Note> notes = new ArrayList<>();
    private final Map<LocalDateTime, Draft> named = new HashMap<>();

    /** Adds one of a pattern or a beat; where two have the same start, the first one stands. */
    void add(Draft draft) {
        if (named.containsKey(draft.name)) {
            note(Note.Kind.SAME_START, draft.name, "two patterns give the same start; the first one stands");
        } else {
            named.put(draft.name, draft);
            all.add(draft);
        }
    }

    /** Adds one more, which takes the name over where there is none by it, or it was cancelled. */
    void addMore(Draft draft) {
        all.add(draft);
        Draft before = named.get(draft.name);
        if (before == null || before.cancelled) {
            named.put(draft.name, draft);
        }
    }

    /** Whether there is one by the name. */
    boolean has(LocalDateTime name) {
        return named.containsKey(name);
    }

    /** The one by the name; where there is none, that is noted. */
    Optional<Draft> find(LocalDateTime name) {
        Draft draft = named.get(name);
        if (draft == null) {
            note(Note.Kind.NAMES_NO_SESSION, name, "a change names no class");
        }
        return Optional.ofNullable(draft);
    }

    /** Counts one as lost to a day off. */
    void lose(Draft draft, String reason) {
        draft.cancelled = true;
        lost.add(new Lost(draft.name, reason));
    }

    /** @param session null for no class in particular */
    void note(Note.Kind kind, @Nullable LocalDateTime session, String text) {
        notes.add(new Note(kind, session, text));
    }
}
