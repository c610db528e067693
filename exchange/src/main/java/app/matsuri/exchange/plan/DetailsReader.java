package app.matsuri.exchange.plan;

import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.FileUse;
import app.matsuri.core.plan.ItemDetails;
import app.matsuri.core.plan.LessonDetails;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Own;
import app.matsuri.core.plan.Step;
import app.matsuri.core.plan.Which;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads what items and lessons are beside when they are, and other dates for sections and students. */
public final class DetailsReader {

    private static final List<String> HAND_IN = List.of("file", "paper", "nothing");
    private static final List<String> AUDIENCES =
            List.of(ItemDetails.ALL, ItemDetails.ATTENDEES, ItemDetails.EXTRA_CREDIT);

    private DetailsReader() {}

    /** An item's details; a fault leaves out what it is in. */
    static ItemDetails item(In in) {
        String within = in.text("within", null);
        String instructions = in.text("instructions", "");
        String handIn = in.has("handIn") ? in.word("handIn", null, HAND_IN) : "";
        String place = in.text("handInPlace", "");
        List<Link> links = in.objects("links", DetailsReader::link);
        List<FileUse> files = in.objects("files", DetailsReader::file);
        List<String> only = in.texts("only", "a section's code", x -> x);
        String audience = in.word("audience", ItemDetails.ALL, AUDIENCES);
        List<String> shared = in.texts("shared", "a course's code, or course/section", x -> x);
        boolean hidden = in.flag("hidden", false);
        boolean draft = in.flag("draft", false);
        return new ItemDetails(
                within,
                instructions == null ? "" : instructions,
                handIn == null ? "" : handIn,
                place == null ? "" : place,
                links,
                files,
                only,
                audience == null ? ItemDetails.ALL : audience,
                shared,
                hidden,
                draft);
    }

    /** A lesson's details; a fault leaves out what it is in. */
    static LessonDetails lesson(In in) {
        String objectives = in.text("objectives", "");
        return new LessonDetails(
                objectives == null ? "" : objectives,
                in.objects("steps", DetailsReader::step),
                in.objects("links", DetailsReader::link),
                in.objects("files", DetailsReader::file));
    }

    /** A step of a lesson; null when a fault leaves it without meaning. */
    public static @Nullable Step step(In in) {
        Integer minutes = in.number("minutes", 0, 0);
        String text = in.text("text", "");
        in.extra();
        return minutes == null || text == null ? null : new Step(minutes, text);
    }

    /** A link: an address that a browser opens; null when a fault leaves it without meaning. */
    public static @Nullable Link link(In in) {
        String title = in.text("title", "");
        String url = in.required("url");
        in.extra();
        if (title == null || url == null) {
            return null;
        }
        if (!url.matches("(?i)(https?|mailto):.+")) {
            in.faults()
                    .fatal(
                            in.at("url"),
                            "“" + (url.length() > 60 ? url.substring(0, 60) + "…" : url)
                                    + "” is no link: it begins with https://, http:// or mailto:.");
            return null;
        }
        return new Link(title, url);
    }

    /** How a stored file is used; null when a fault leaves it without meaning. */
    public static @Nullable FileUse file(In in) {
        String file = in.required("file");
        String name = in.required("name");
        boolean publish = in.flag("publish", true);
        LocalDateTime from = in.moment("from");
        String with = in.text("with", null);
        in.extra();
        return file == null || name == null ? null : new FileUse(file, name, publish, from, with);
    }

    /** Other dates of an item; null when a fault leaves it without meaning. */
    public static @Nullable Adjustment adjustment(In in) {
        String item = in.required("item");
        String student = in.text("student", null);
        String why = in.text("why", "");
        Map<Which, Own<DateRule>> dates = dates(in);
        in.extra();
        return item == null || why == null ? null : new Adjustment(item, student, dates, why);
    }

    /** The dates that stand there: a rule each, or null for a date that is taken away. */
    public static Map<Which, Own<DateRule>> dates(In in) {
        Map<Which, Own<DateRule>> dates = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            String field = Words.word(which);
            if (!in.stands(field)) {
                continue;
            }
            if (!in.has(field)) {
                dates.put(which, Own.none());
                continue;
            }
            DateRule rule = in.object(field, RuleReader::rule);
            if (rule != null) {
                dates.put(which, Own.other(rule));
            }
        }
        return dates;
    }
}
