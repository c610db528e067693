package app.matsuri.exchange.words;

import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.exchange.file.Unreadable;
import app.matsuri.exchange.plan.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Office hours in a line: "Fri 13-14 in 15 min, Weir House 1", "Tue 13-15, Thu 9-10 Weir House 1 for HYD 210, 2 a week", "Wed 14-15:30 in
 * 20 min, 5 min pause, groups of 2 to 4", "9 Oct 10-12". Without a length of slots they are open without booking.
 */
public final class HoursWords {

    private static final String MIN = "(\\d{1,3})[- ]?min(?:ute)?s?\\b";
    private static final Pattern PAUSE = Pattern.compile("(?i)(?:,|\\bwith)?\\s*(?:a )?(?:" + MIN
            + "\\s+(?:pause|break|between)|(?:pauses?|breaks?) of " + MIN + ")(?: between)?");
    private static final Pattern SLOT = Pattern.compile("(?i)(?:,\\s*)?\\b(?:(?:in|every|each)\\s+(?:slots of )?" + MIN
            + "(?:\\s+(?:slots?|each))?|slots of " + MIN + "|" + MIN + "\\s+(?:slots?|each)\\b)");
    private static final Pattern GROUPS = Pattern.compile(
            "(?i)(?:,|\\bfor)?\\s*\\bgroups? of (?:(\\d{1,3})\\s*(?:to|-|–)\\s*(\\d{1,3})|up to (\\d{1,3})|(\\d{1,3}))\\b");
    private static final Pattern PLACES = Pattern.compile(
            "(?i)(?:,|\\bwith)?\\s*\\b(\\d{1,3}) (?:places?|people|students|persons)(?: each| a slot| per slot)?\\b");
    private static final Pattern LIMIT = Pattern.compile(
            "(?i),?\\s*\\b(once|twice|\\d{1,3})(?: ?x| times| bookings?)? (?:a|per|each|in a) (week|term)\\b");
    private static final Pattern DAYS_OFF = Pattern.compile("(?i),?\\s*\\b(?:also )?on days off(?: too)?\\b");
    private static final Pattern DATED = Pattern.compile(
            "(?i)^(.*?\\S)[,\\s]+((?<!\\d)\\d{1,2}(?:[:.]\\d{2})?\\s*(?:am|pm)?\\s*(?:-|–|to)\\s*\\d{1,2}.*)$");
    /** A comma before the next weekdays with times. */
    private static final Pattern NEXT = Pattern.compile(
            "(?i)\\s*,\\s*(?=(?:every|each|first|second|third|fourth|last|mon|tue|wed|thu|fri|sat|sun|mo|tu|we|th|fr|sa|su|m|t|w|f|r)[a-z]*\\b[^,;]*?\\d{1,2}(?:[:.]\\d{2})?\\s*(?:am|pm)?\\s*(?:-|–|to)\\s*\\d)");

    private HoursWords() {}

    /**
     * What a line means.
     *
     * @param booking null where they are open without booking
     * @param courses codes of the courses that it names; empty for all
     * @param wrong what is not understood and what to write; empty where all is
     */
    public record Read(
            List<MeetingPattern> windows,
            @Nullable BookingRules booking,
            List<String> courses,
            boolean onDaysOff,
            String wrong) {

        /**
         * The office hours that it makes: those that were with what the line says, their title and what it does not say as they were; else new
         * ones.
         *
         * @param was those that it is typed for; null for new ones
         * @param id of new ones
         * @param title likewise
         */
        public OfficeHours over(@Nullable OfficeHours was, String id, String title) {
            OfficeHours now = was == null
                    ? OfficeHours.of(id, title, windows, booking).withCourses(courses)
                    : was.as(windows, kept(was.booking(), booking), courses);
            return now.staying(onDaysOff);
        }

        private static @Nullable BookingRules kept(@Nullable BookingRules was, @Nullable BookingRules now) {
            return was == null || now == null
                    ? now
                    : new BookingRules(
                            now.minutes(),
                            now.pause(),
                            now.places(),
                            now.groupFrom(),
                            now.groupTo(),
                            now.aWeek(),
                            now.aTerm(),
                            was.fromDays(),
                            was.untilHours(),
                            was.giveBackHours(),
                            was.namesSeen());
        }

        private static Read wrong(String why) {
            return new Read(List.of(), null, List.of(), false, why);
        }
    }

    /**
     * Reads the line.
     *
     * @param codes of the courses that there are
     */
    public static Read read(String line, DayWords days, Collection<String> codes) {
        if (line.length() > 3 * DayWords.MOST) {
            throw new Unreadable("Office hours are said in at most " + 3 * DayWords.MOST
                    + " characters, such as “Fri 13-14 in 15 min, Weir House 1”.");
        }
        Taken rest = new Taken(line);
        List<String> courses = rest.courses(codes);
        boolean onDaysOff = rest.take(DAYS_OFF).isPresent();
        Integer pause = rest.number(PAUSE);
        Matcher groups = rest.take(GROUPS).orElse(null);
        Integer places = rest.number(PLACES);
        Integer week = null;
        Integer term = null;
        for (Optional<Matcher> limit = rest.take(LIMIT); limit.isPresent(); limit = rest.take(LIMIT)) {
            String n = limit.get().group(1).toLowerCase(Locale.ROOT);
            int most = n.equals("once") ? 1 : n.equals("twice") ? 2 : DayWords.number(n);
            week = limit.get().group(2).equalsIgnoreCase("week") ? Integer.valueOf(most) : week;
            term = limit.get().group(2).equalsIgnoreCase("term") ? Integer.valueOf(most) : term;
        }
        Integer slot = rest.number(SLOT);
        List<MeetingPattern> windows = new ArrayList<>();
        for (String part : rest.text.split("[;\\n]+")) {
            String before = "";
            for (String piece : NEXT.split(part)) {
                String one = before + piece;
                if (!one.matches(".*\\d.*")) {
                    // "Mon, Wed 10-11": the days before have their times behind the last
                    before = one.isBlank() ? "" : one + ", ";
                    continue;
                }
                before = "";
                List<MeetingPattern> read = window(one.strip(), days);
                if (read.isEmpty()) {
                    return Read.wrong(notUnderstood(one));
                }
                windows.addAll(read);
            }
            if (!before.isBlank()) {
                return Read.wrong(notUnderstood(before.replaceFirst(",\\s*$", "")));
            }
        }
        if (windows.isEmpty()) {
            return Read.wrong("Say when: Tue 13-15, Thu 9-10 Weir House 1.");
        }
        // a place named once behind several times is that of all
        String place = windows.get(windows.size() - 1).place();
        windows.replaceAll(w -> w.place().isEmpty() && w.link().isEmpty() ? w.at(place) : w);
        if (slot == null) {
            return groups != null || places != null || week != null || term != null || pause != null
                    ? Read.wrong("Say how long a slot is, such as in 15 min.")
                    : new Read(windows, null, courses, onDaysOff, "");
        }
        try {
            int to = groups == null ? 1 : largest(groups);
            int from = groups == null || groups.group(3) != null ? 1 : smallest(groups);
            int all = places == null ? to : places;
            BookingRules usual = BookingRules.of(slot);
            BookingRules rules = new BookingRules(
                    slot,
                    pause == null ? 0 : pause,
                    all,
                    from,
                    to,
                    week,
                    term,
                    usual.fromDays(),
                    usual.untilHours(),
                    usual.giveBackHours(),
                    false);
            return new Read(windows, rules, courses, onDaysOff, "");
        } catch (IllegalArgumentException e) {
            return Read.wrong(String.valueOf(e.getMessage()));
        }
    }

    private static String notUnderstood(String words) {
        return "“" + words.strip() + "”: not understood. Write Tue 13-15 Weir House 1, or 9 Oct 10-12.";
    }

    private static int largest(Matcher groups) {
        return DayWords.number(
                groups.group(2) != null
                        ? groups.group(2)
                        : groups.group(3) != null ? groups.group(3) : groups.group(4));
    }

    private static int smallest(Matcher groups) {
        return DayWords.number(groups.group(1) != null ? groups.group(1) : groups.group(4));
    }

    /** Weekly times, or those of one date. */
    private static List<MeetingPattern> window(String text, DayWords days) {
        Matcher dated = DATED.matcher(text);
        if (dated.matches()) {
            Optional<LocalDate> day = dated.group(1).matches(".*\\d.*") ? days.read(dated.group(1)) : Optional.empty();
            if (day.isPresent()) {
                String weekday = Words.weekday(day.get().getDayOfWeek());
                return MeetsWords.readAll(WEEKDAY_BEFORE + dated.group(2), days).stream()
                        .map(p -> new MeetingPattern(
                                "FREQ=WEEKLY;BYDAY=" + weekday,
                                List.of(),
                                p.start(),
                                p.minutes(),
                                p.place(),
                                p.link(),
                                day.get(),
                                day.get(),
                                p.extra()))
                        .toList();
            }
        }
        return MeetsWords.readAll(text, days);
    }

    private static final String WEEKDAY_BEFORE = "Mon ";

    /** A line from which parts are taken. */
    private static final class Taken {
        String text;

        Taken(String text) {
            this.text = text.strip();
        }

        Optional<Matcher> take(Pattern pattern) {
            Matcher m = pattern.matcher(text);
            if (!m.find()) {
                return Optional.empty();
            }
            text = (text.substring(0, m.start()) + " " + text.substring(m.end()))
                    .replaceAll("\\s+(?=[,;])", "")
                    .strip();
            return Optional.of(m);
        }

        @Nullable
        Integer number(Pattern pattern) {
            Matcher m = take(pattern).orElse(null);
            for (int g = 1; m != null && g <= m.groupCount(); g++) {
                if (m.group(g) != null) {
                    return DayWords.number(m.group(g));
                }
            }
            return null;
        }

        /** "for HYD 210 and MAP 115". */
        List<String> courses(Collection<String> codes) {
            List<String> named = new ArrayList<>();
            Pattern all = Pattern.compile("(?i),?\\s*\\bfor all(?: courses| of them)?\\b");
            take(all);
            String any = String.join("|", codes.stream().map(Pattern::quote).toList());
            if (any.isEmpty()) {
                return named;
            }
            String one = "(?:" + any + ")(?![\\p{L}\\p{N}])";
            Optional<Matcher> m = take(Pattern.compile("(?i),?\\s*\\bfor\\s+(" + one
                    + "(?:(?:\\s*,\\s*(?:and )?|\\s+and\\s+|\\s*&\\s*)" + one + "){0,20})"));
            if (m.isPresent()) {
                Matcher each = Pattern.compile("(?i)" + one).matcher(m.get().group(1));
                while (each.find()) {
                    codes.stream().filter(c -> c.equalsIgnoreCase(each.group())).forEach(named::add);
                }
            }
            return named;
        }
    }
}
