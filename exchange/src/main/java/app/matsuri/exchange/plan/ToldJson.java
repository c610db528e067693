package app.matsuri.exchange.plan;

import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Untold;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Reads and writes what the students of a section were told. */
public final class ToldJson {

    private static final List<String> WHAT = Stream.concat(
                    Stream.of(Untold.LESSON), Stream.of(Which.values()).map(Untold::what))
            .toList();

    private ToldJson() {}

    /** One piece of work that was told. */
    private record Work(String item, Told.OfWork of) {}

    /** What the section's fields say. */
    static Told read(In in) {
        Map<String, LocalDate> lessons = new LinkedHashMap<>();
        in.entries("told", entry -> {
            LocalDate day = entry.text("a date such as 2026-10-02", ToldJson::day);
            if (day != null) {
                lessons.put(entry.key(), day);
            }
        });
        Map<LocalDateTime, ToldSession> sessions = new LinkedHashMap<>();
        in.entries("toldSessions", entry -> {
            LocalDateTime name = entry.keyAs(SectionReader.SESSION, LocalDateTime::parse);
            ToldSession session = entry.object(ToldJson::session);
            if (name != null && session != null) {
                sessions.put(name, session);
            }
        });
        Map<String, Told.OfWork> work = new LinkedHashMap<>();
        in.objects("toldWork", ToldJson::work).forEach(w -> work.put(w.item(), w.of()));
        return new Told(lessons, sessions, work, in.date("toldUpTo"), in.objects("tellings", ToldJson::telling));
    }

    /** A day, also where its time is given. */
    private static LocalDate day(String text) {
        return LocalDate.parse(text.length() > 10 && text.charAt(10) == 'T' ? text.substring(0, 10) : text);
    }

    /** A session that was told; null when a fault leaves it without meaning. */
    private static @Nullable ToldSession session(In in) {
        LocalDateTime start = in.requiredMoment("start");
        LocalDateTime end = in.requiredMoment("end");
        String place = in.text("place", "");
        List<ToldSession.OfLesson> lessons = in.objects("lessons", ToldJson::lesson);
        in.extra();
        return start == null || end == null || place == null ? null : new ToldSession(start, end, place, lessons);
    }

    /** A lesson of it, likewise. */
    public static ToldSession.@Nullable OfLesson lesson(In in) {
        String id = in.id("id");
        String title = in.text("title", "");
        in.extra();
        return id == null || title == null ? null : new ToldSession.OfLesson(id, title);
    }

    private static @Nullable Work work(In in) {
        String item = in.id("item");
        String title = in.text("title", "");
        Map<Which, LocalDateTime> dates = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            LocalDateTime date = in.moment(Untold.what(which));
            if (date != null) {
                dates.put(which, date);
            }
        }
        List<LocalDateTime> entries = moments(in);
        in.extra();
        return item == null || title == null ? null : new Work(item, new Told.OfWork(title, dates, entries));
    }

    /** When the entries of a notice that repeats begin. */
    public static List<LocalDateTime> moments(In in) {
        return in.texts("entries", SectionReader.SESSION, LocalDateTime::parse);
    }

    private static @Nullable Telling telling(In in) {
        LocalDateTime at = in.moment("at");
        String why = in.text("why", "");
        List<Telling.Move> moves = in.objects("moves", ToldJson::move);
        in.extra();
        return why == null ? null : new Telling(at, why, moves);
    }

    /** A date told otherwise; null when a fault leaves it without meaning. */
    public static Telling.@Nullable Move move(In in) {
        String what = in.word("what", null, WHAT);
        String id = in.id("id");
        String title = in.text("title", "");
        LocalDateTime from = in.moment("from");
        LocalDateTime to = in.moment("to");
        if (what == null && !in.has("what")) {
            in.faults().fatal(in.pointer(), "“what” is missing: give one of " + String.join(", ", WHAT) + ".");
        }
        in.extra();
        return what == null || id == null || title == null ? null : new Telling.Move(what, id, title, from, to);
    }

    /** The fields of a section that say what was told. */
    static Map<String, Object> write(Told told) {
        Map<String, String> lessons = new LinkedHashMap<>();
        told.lessons().forEach((id, day) -> lessons.put(id, day.toString()));
        Map<String, Object> sessions = new LinkedHashMap<>();
        told.sessions().forEach((name, session) -> sessions.put(Words.moment(name), session(session)));
        return new Out()
                .some("told", lessons)
                .some("toldSessions", sessions)
                .some(
                        "toldWork",
                        told.work().entrySet().stream()
                                .map(e -> work(e.getKey(), e.getValue()))
                                .toList())
                .some("toldUpTo", told.upTo() == null ? null : told.upTo().toString())
                .some(
                        "tellings",
                        told.tellings().stream().map(ToldJson::telling).toList())
                .map();
    }

    private static Map<String, Object> session(ToldSession session) {
        return new Out()
                .put("start", Words.moment(session.start()))
                .put("end", Words.moment(session.end()))
                .unless("", "place", session.place())
                .some("lessons", lessons(session.lessons()))
                .map();
    }

    /** The lessons of a session that was told. */
    public static List<Map<String, Object>> lessons(List<ToldSession.OfLesson> lessons) {
        return lessons.stream()
                .map(l -> new Out()
                        .put("id", l.id())
                        .unless("", "title", l.title())
                        .map())
                .toList();
    }

    private static Map<String, Object> work(String item, Told.OfWork of) {
        Out out = new Out().put("item", item).unless("", "title", of.title());
        of.dates().forEach((which, date) -> out.put(Untold.what(which), Words.moment(date)));
        return out.some("entries", entries(of.entries())).map();
    }

    /** When entries begin, as text. */
    public static List<String> entries(List<LocalDateTime> entries) {
        return entries.stream().map(Words::moment).toList();
    }

    private static Map<String, Object> telling(Telling telling) {
        return new Out()
                .unless("", "at", Words.moment(telling.at()))
                .unless("", "why", telling.why())
                .some("moves", moves(telling.moves()))
                .map();
    }

    /** Dates told otherwise before. */
    public static List<Map<String, Object>> moves(List<Telling.Move> moves) {
        return moves.stream()
                .map(m -> new Out()
                        .put("what", m.what())
                        .put("id", m.id())
                        .unless("", "title", m.title())
                        .unless("", "from", Words.moment(m.from()))
                        .unless("", "to", Words.moment(m.to()))
                        .map())
                .toList();
    }
}
