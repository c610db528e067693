package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.Days;
import app.matsuri.exchange.words.TimeWords;
import app.matsuri.exchange.words.Times;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** When something is due, opens or closes, in the words of a sheet: "Sun 9/6 11:59pm", "start of class", "Fri noon", "next class". */
final class WhenWords {

    private static final int FLAGS =
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.UNICODE_CHARACTER_CLASS | Pattern.DOTALL;

    private static final String LEAD =
            "^[\\s,(]*(?:is\\s+|on\\s+|by\\s+|at\\s+|the\\s+|am\\s+|bis\\s+|le\\s+|el\\s+|post\\s+|before\\s+|:\\s*){0,9}";
    private static final Pattern IN_CLASS =
            of("(?:in|during)[ -]class(?:,? day \\d)?|im unterricht|en classe|en clase");
    private static final Pattern CLASS_START = of(
            "(?:(?:at )?(?:the )?(?:start|beginning) of (?:the )?(?:class|lesson|period)|before (?:the )?class"
                    + "|class time|zu beginn der stunde|au début du cours|al (?:inicio|comienzo) de (?:la )?clase)(?:,? (?:your|that) day)?|class$");
    private static final Pattern CLASS_END = of(
            "(?:(?:at )?(?:the )?end of (?:the )?(?:class|lesson|period)|after class|am ende der stunde|fin du cours|al final de la clase)");
    private static final Pattern NEXT = of(
            "(?:the )?(?:next|following) (?:class|lesson|period|session|time)|nächste stunde|prochain cours|próxima clase");
    private static final Pattern LAST =
            of("(?:the )?last (?:day|class|session)(?: of [\\w.]+)?(?:,? (?:at )?(?:the )?start of class)?");
    private static final Pattern WEEKDAY = of(
            "(?:(?:next|following|this)\\s+)?" + "(" + DayWords.WEEKDAY
                    + "|(?:mo|tu|we|th|fr|sa|su|di|mi|do|so|lun|mar|mer|jeu|ven|sam|dim|mié|jue|vie|sáb|dom)(?![\\p{L}])|[MTWRF](?![\\p{L}]))[.,]?(?:s)?(?:\\s+(after|later))?");
    private static final Pattern NOTHING = of("[-–—]+|n/?a|none|tb[ad]|");
    private static final Pattern LEADS = of(LEAD);
    private static final Pattern SKIPPED = of("[\\s,.]*(?:(?:at|by|@|um|à|a las|bis|until)\\s+)?");

    private final SheetDays days;

    WhenWords(SheetDays days) {
        this.days = days;
    }

    SheetDays days() {
        return days;
    }

    private static Pattern of(String regex) {
        return Pattern.compile(regex, FLAGS);
    }

    /**
     * What was read.
     *
     * @param when null where the text does not say it
     * @param rest what stands behind it
     */
    record Read(@Nullable When when, String rest) {}

    /** Whether a cell says that there is no such date. */
    static boolean nothing(String text) {
        return NOTHING.matcher(text.strip()).matches();
    }

    /**
     * Reads the beginning of a text.
     *
     * @param day of its class; null where none is known
     * @param opens whether a time that is not said is the start of the day
     */
    Read read(String given, @Nullable LocalDate day, boolean opens) {
        Matcher lead = LEADS.matcher(given);
        int from = lead.find() ? lead.end() : 0;
        for (Pattern words : List.of(LAST, CLASS_START, CLASS_END, NEXT, IN_CLASS)) {
            Matcher m = words.matcher(given)
                    .region(
                            words == CLASS_START && given.regionMatches(true, Math.max(0, from - 7), "before ", 0, 7)
                                    ? Math.max(0, from - 7)
                                    : from,
                            given.length());
            if (m.lookingAt()) {
                When.Sort sort = words == LAST
                        ? When.Sort.LAST_CLASS
                        : words == CLASS_START
                                ? When.Sort.CLASS_START
                                : words == CLASS_END
                                        ? When.Sort.CLASS_END
                                        : words == NEXT ? When.Sort.NEXT_CLASS : When.Sort.IN_CLASS;
                return new Read(When.of(sort, m.group().strip()), given.substring(m.end()));
            }
        }
        String plain = Days.plain(given);
        for (SheetDays.Found found : days.find(given)) {
            if (found.start() <= from || given.substring(from, found.start()).matches("[\\s,.:]*|.{1,12}\\s")) {
                boolean far = found.start() > from + 1
                        && !TimeWords.TIME
                                .matcher(given.substring(from, found.start()))
                                .find();
                if (far && !given.substring(from, found.start()).isBlank()) {
                    break;
                }
                int end = found.end();
                if (end < plain.length() && plain.charAt(end) == '.') {
                    end++;
                }
                Timed time = time(plain, end);
                LocalTime before = found.start() > from ? timeOf(given.substring(from, found.start())) : null;
                When when = When.day(
                        found.first(), time.time() == null ? before : time.time(), given.substring(from, time.end()));
                Matcher start = CLASS_START.matcher(plain).region(skip(plain, end), plain.length());
                if (time.time() == null && start.lookingAt()) {
                    return new Read(
                            new When(
                                    When.Sort.CLASS_START,
                                    found.first(),
                                    null,
                                    null,
                                    given.substring(from, start.end())),
                            given.substring(start.end()));
                }
                return new Read(when, given.substring(time.end()));
            }
            break;
        }
        Matcher weekday = WEEKDAY.matcher(plain).region(from, plain.length());
        if (weekday.lookingAt()) {
            DayOfWeek on =
                    Days.weekday(weekday.group(1).toLowerCase(Locale.ROOT).replaceAll("s$", ""));
            on = on == null ? Days.weekday(weekday.group(1)) : on;
            if (on != null) {
                Timed time = time(plain, weekday.end());
                return new Read(
                        new When(
                                When.Sort.WEEKDAY,
                                null,
                                time.time(),
                                on,
                                given.substring(from, time.end()).strip()),
                        given.substring(time.end()));
            }
        }
        Timed time = time(plain, from);
        if (time.time() != null) {
            return new Read(
                    new When(When.Sort.TIME, day, time.time(), null, given.substring(from, time.end())),
                    given.substring(time.end()));
        }
        return new Read(null, given);
    }

    /** A cell that says nothing else; its words where they are not understood. */
    Optional<When> whole(String cell, @Nullable LocalDate day, boolean opens) {
        if (nothing(cell)) {
            return Optional.empty();
        }
        Read read = read(cell, day, opens);
        String rest = WorkTitle.trimmed(read.rest());
        boolean all = rest.isEmpty() || rest.matches("(?s)\\(.*\\)");
        return Optional.of(read.when() != null && all ? read.when() : When.of(When.Sort.WORDS, cell.strip()));
    }

    /**
     * A time of day.
     *
     * @param time null for none
     * @param end where it ends, or where the text before it did
     */
    private record Timed(@Nullable LocalTime time, int end) {}

    private static int skip(String plain, int at) {
        Matcher m = SKIPPED.matcher(plain).region(at, plain.length());
        return m.lookingAt() ? m.end() : at;
    }

    private static Timed time(String plain, int at) {
        int from = skip(plain, at);
        Matcher m = TimeWords.TIME.matcher(plain).region(from, plain.length());
        m.useTransparentBounds(true);
        if (m.lookingAt()) {
            Optional<LocalTime> time = TimeWords.of(m);
            if (time.isPresent()) {
                return new Timed(time.get(), m.end());
            }
        }
        return new Timed(null, at);
    }

    private static @Nullable LocalTime timeOf(String text) {
        Matcher m = TimeWords.TIME.matcher(text);
        return m.find() ? TimeWords.of(m).orElse(null) : null;
    }

    /** From one time to another on a day, as examinations say it; empty where a text does not. */
    Optional<Entry.Span> span(String text, @Nullable LocalDate day) {
        List<SheetDays.Found> found = days.find(text);
        LocalDate on = found.isEmpty() ? day : found.get(0).first();
        String rest = found.isEmpty()
                ? text
                : text.substring(0, found.get(0).start()) + " "
                        + text.substring(Math.min(text.length(), found.get(0).end()));
        return on == null ? Optional.empty() : Times.find(Days.plain(rest)).flatMap(t -> spanned(on, t));
    }

    private static Optional<Entry.Span> spanned(LocalDate day, Times times) {
        LocalTime end = times.end();
        return end == null ? Optional.empty() : Optional.of(new Entry.Span(day, times.start(), end));
    }
}
