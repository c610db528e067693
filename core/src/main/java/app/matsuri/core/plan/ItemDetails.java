package app.matsuri.core.plan;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What an item is, beside its dates.
 *
 * @param within id of the item of the same unit that holds it, as a folder does; null for none
 * @param instructions Markdown; may be empty
 * @param handIn what is handed in: "file", "paper" or "nothing"; empty where not said
 * @param handInPlace where; may be empty
 * @param only codes of the sections it is for; empty for all
 * @param audience whom it is for among them: {@link #ALL}, {@link #ATTENDEES} or {@link #EXTRA_CREDIT}
 * @param shared other courses ("MAP 115") or sections of them ("MAP 115/A") that have it too; it stays one
 * @param hidden not listed for students before it opens
 * @param draft not told to students until it is given out
 */
public record ItemDetails(
        @Nullable String within,
        String instructions,
        String handIn,
        String handInPlace,
        List<Link> links,
        List<FileUse> files,
        List<String> only,
        String audience,
        List<String> shared,
        boolean hidden,
        boolean draft) {

    /** Everybody; those who were there; whoever wants the credit. */
    public static final String ALL = "all";

    public static final String ATTENDEES = "attendees";
    public static final String EXTRA_CREDIT = "extra-credit";

    /** Nothing said. */
    public static final ItemDetails NONE =
            new ItemDetails(null, "", "", "", List.of(), List.of(), List.of(), ALL, List.of(), false, false);

    public ItemDetails {
        Objects.requireNonNull(instructions, "instructions");
        Objects.requireNonNull(handIn, "handIn");
        Objects.requireNonNull(handInPlace, "handInPlace");
        Objects.requireNonNull(audience, "audience");
        links = List.copyOf(links);
        files = List.copyOf(files);
        only = List.copyOf(only);
        shared = List.copyOf(shared);
    }

    /** The same, handed in somewhere else. */
    public ItemDetails withHandInPlace(String place) {
        return new ItemDetails(
                within, instructions, handIn, place, links, files, only, audience, shared, hidden, draft);
    }

    /** Whether it is for the section. */
    public boolean concerns(String section) {
        return only.isEmpty() || only.contains(section);
    }

    /** The same for a section by another code, or without it (null); where it was for that one only, for all. */
    public ItemDetails renamed(String section, @Nullable String code) {
        if (!only.contains(section)) {
            return this;
        }
        return only(With.renamed(only, section, code));
    }

    /** Whether it is also for the section of another course. */
    public boolean sharedWith(String course, String section) {
        return shared.contains(course) || shared.contains(new SectionRef(course, section).toString());
    }

    /** The same as a draft, or given out. */
    public ItemDetails draft(boolean other) {
        return new ItemDetails(
                within, instructions, handIn, handInPlace, links, files, only, audience, shared, hidden, other);
    }

    /** The same shared with others. */
    public ItemDetails shared(List<String> others) {
        return new ItemDetails(
                within, instructions, handIn, handInPlace, links, files, only, audience, others, hidden, draft);
    }

    /** The same for other sections. */
    public ItemDetails only(List<String> others) {
        return new ItemDetails(
                within, instructions, handIn, handInPlace, links, files, others, audience, shared, hidden, draft);
    }

    public ItemDetails within(@Nullable String other) {
        return new ItemDetails(
                other, instructions, handIn, handInPlace, links, files, only, audience, shared, hidden, draft);
    }

    public ItemDetails withFiles(List<FileUse> others) {
        return new ItemDetails(
                within, instructions, handIn, handInPlace, links, others, only, audience, shared, hidden, draft);
    }
}
