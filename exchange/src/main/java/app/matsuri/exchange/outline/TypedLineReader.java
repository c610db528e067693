package app.matsuri.exchange.outline;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.outline.TypedLine.Part;
import app.matsuri.exchange.outline.TypedLine.Place;
import app.matsuri.exchange.outline.TypedLine.Sort;
import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.DueWords;
import app.matsuri.exchange.words.KindWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.RepeatWords;
import app.matsuri.exchange.words.RunWords;
import app.matsuri.exchange.words.Times;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Reads a typed line word by word: every word has a meaning, belongs to the title, or is said not to be understood. */
final class TypedLineReader {

    private static final Pattern PREFIX =
            Pattern.compile("(?i)(notice|lesson|note|" + KindWords.ANY + ")\\s*:\\s*(\\S.*)");
    private static final Pattern NOTICE = Pattern.compile("(?i)notice\\s+(\\S.*)");
    private static final Pattern IN_BRACKETS = Pattern.compile("(?i)\\s*\\((" + KindWords.ANY + ")\\)");
    private static final Pattern MINUTES = Pattern.compile("(?i)\\(?\\b(\\d{1,3})\\s*min(?:utes)?\\b\\)?");
    private static final Pattern POINTS =
            Pattern.compile("(?i)\\(?\\b(\\d{1,4}(?:\\.\\d+)?)\\s*(?:points?|pts?)\\b\\)?");
    private static final Pattern DATED =
            Pattern.compile("(?i)(opens?|due|closes?|available|by|from|until|till)\\b[:\\s]*(\\S.*)");
    private static final Pattern WITHIN =
            Pattern.compile("(?i)\\s+(?=(?:opens|due|closes|until|every|each|daily|weekdays)\\b)");
    private static final Pattern TIMES = Pattern.compile("(?i)(?:for\\s+)?(\\d{1,3}|[a-z]+)\\s+times");
    private static final Pattern WHERE =
            Pattern.compile("(?i)(?:in\\s+|at\\s+)?(?:room|rm\\.?|hall|lab|building)\\s+\\S.*");
    /** Words that look as if they were meant as a date or a number of something. */
    private static final Pattern LOOKS_DATED = Pattern.compile("(?i)(?:opens|due|closes|every|until|from|by)\\b.*"
            + "|.*\\b\\d{1,2}(?:st|nd|rd|th|\\.)?\\s+\\p{L}{3,10}\\b.*|.*\\d[:.]\\d\\d.*|.*\\b\\d{1,2}\\s*[ap]m\\b.*"
            + "|\\d+\\s+times.*|.*\\d{4}-\\d.*");

    final Place in;
    final List<Part> parts = new ArrayList<>();
    final Map<Which, DateRule> dates = new EnumMap<>(Which.class);
    Sort sort = Sort.WORK;

    @Nullable
    String kind;

    String title = "";

    @Nullable
    BigDecimal points;

    @Nullable
    Integer minutes;

    String place = "";
    final List<MomentWords> days = new ArrayList<>();
    /** The days are from one to another, not two by themselves. */
    boolean run;

    @Nullable
    Times times;

    @Nullable
    RepeatWords repeat;

    int often;
    /** To which date a time that stands by itself belongs; null for none. */
    private @Nullable Which open;

    private TypedLineReader(Place in) {
        this.in = in;
    }

    static TypedLineReader of(String text, Place in) {
        TypedLineReader reader = new TypedLineReader(in);
        reader.take(text);
        return reader;
    }

    private void take(String text) {
        String rest = prefix(text);
        if (sort == Sort.NOTE || sort == Sort.LESSON) {
            title = rest;
            say(rest, sort == Sort.NOTE ? "a note on the day" : "a lesson", true);
            return;
        }
        Matcher bracket = IN_BRACKETS.matcher(rest);
        if (bracket.find()) {
            kind = KindWords.of(bracket.group(1));
            say(bracket.group().strip(), kind, true);
            rest = bracket.replaceFirst("").strip();
        }
        List<String> segments = new ArrayList<>(List.of(rest.split("\\s*[,;]\\s*(?![^(]*\\))")));
        segments.removeIf(String::isBlank);
        for (int n = 0; n < segments.size(); ) {
            int taken = 0;
            for (int more = Math.min(3, segments.size() - n); more > 0 && taken == 0; more--) {
                String words = String.join(", ", segments.subList(n, n + more));
                boolean may = n > 0
                        || segments.size() > 1
                                && (RepeatWords.is(words)
                                        || DATED.matcher(words).matches());
                taken = may && meaning(words) ? more : 0;
            }
            if (taken == 0 && title.isEmpty() && parted(segments, n)) {
                continue;
            }
            if (taken == 0) {
                other(segments.get(n));
                taken = 1;
            }
            n += taken;
        }
        if (kind == null) {
            kind = KindWords.ofTitle(title);
        }
        if (sort == Sort.WORK) {
            new TypedLineDates(this).settle();
        }
    }

    private String prefix(String text) {
        Matcher m = PREFIX.matcher(text);
        if (m.matches()) {
            String word = m.group(1).toLowerCase(Locale.ROOT);
            sort = switch (word) {
                case "notice" -> Sort.NOTICE;
                case "lesson" -> Sort.LESSON;
                case "note" -> Sort.NOTE;
                default -> Sort.WORK;
            };
            if (sort == Sort.WORK) {
                kind = KindWords.of(word);
                say(m.group(1) + ":", kind, true);
            } else if (sort == Sort.NOTICE) {
                say(m.group(1) + ":", "a notice", true);
            }
            return m.group(2).strip();
        }
        m = NOTICE.matcher(text);
        if (m.matches()) {
            sort = Sort.NOTICE;
            say("notice", "a notice", true);
            return m.group(1).strip();
        }
        return text;
    }

    /** Parts the words that hold the title where words about dates begin in them; false where none do. */
    private boolean parted(List<String> segments, int n) {
        String first = segments.get(n);
        Matcher m = WITHIN.matcher(first);
        while (m.find()) {
            if (m.start() > 0 && part(segments, n, m.start(), m.end())) {
                return true;
            }
        }
        for (int at = first.indexOf(' '); at > 0; at = first.indexOf(' ', at + 1)) {
            if (plainly(first.substring(at + 1)) && part(segments, n, at, at + 1)) {
                return true;
            }
        }
        return false;
    }

    private boolean part(List<String> segments, int n, int to, int from) {
        String words = segments.get(n);
        if (!new TypedLineReader(in).as(sort).meaning(words.substring(from))) {
            return false;
        }
        segments.set(n, words.substring(0, to));
        segments.add(n + 1, words.substring(from));
        return true;
    }

    private TypedLineReader as(Sort of) {
        sort = of;
        return this;
    }

    /** Whether words behind a title, with no comma before them, are a date or a time beyond doubt. */
    private static boolean plainly(String words) {
        return words.matches("(?i)(?:" + DayWords.WEEKDAY + "\\.?,?\\s+)?(?:\\d{1,2}(?:st|nd|rd|th)?\\.?\\s+"
                        + DayWords.MONTH + "|" + DayWords.MONTH + "\\s+\\d{1,2}\\b|\\d{4}-\\d).*")
                || words.matches("(?i)(?:at\\s+)?\\d{1,2}(?::\\d{2}|(?::\\d{2})?\\s*[ap]m)\\b.*")
                || words.matches("(?i)\\d{1,2}(?::\\d{2})?\\s*-\\s*\\d{1,2}(?::\\d{2}|(?::\\d{2})?\\s*[ap]m)\\b.*")
                || words.matches("(?i)" + DayWords.WEEKDAY + "\\s+\\d{1,2}(?::\\d{2}|\\s*[ap]m).*");
    }

    /** Takes words for what they mean; false where they mean nothing. */
    private boolean meaning(String words) {
        String text = words.strip();
        Matcher m = POINTS.matcher(text);
        if (m.matches()) {
            points = new BigDecimal(m.group(1));
            return say(text, m.group(1) + " points", true);
        }
        m = MINUTES.matcher(text);
        if (m.matches()) {
            minutes = DayWords.number(m.group(1));
            return say(text, m.group(1) + " minutes of work", true);
        }
        if (sort == Sort.WORK && text.matches("(?i)" + KindWords.ANY)) {
            kind = KindWords.of(text);
            return say(text, kind, true);
        }
        if (RepeatWords.is(text)) {
            return repeats(text);
        }
        m = TIMES.matcher(text);
        if (m.matches() && DayWords.count(m.group(1)).filter(n -> n > 0).isPresent()) {
            often = DayWords.count(m.group(1)).orElseThrow();
            return say(text, often + " times", true);
        }
        m = DATED.matcher(text);
        if (m.matches() && dated(text, m.group(1).toLowerCase(Locale.ROOT), m.group(2))) {
            return true;
        }
        return moment(text) || span(text) || time(text) || where(text);
    }

    private boolean repeats(String text) {
        Optional<RepeatWords> read = RepeatWords.read(text, in.days());
        read.ifPresent(r -> {
            repeat = r;
            place = r.place().isEmpty() ? place : r.place();
            say(text, "repeats " + text.toLowerCase(Locale.ROOT), true);
        });
        return read.isPresent();
    }

    /** Words behind "opens", "due", "closes" and the like. */
    private boolean dated(String text, String word, String behind) {
        Which which = word.startsWith("open") || word.equals("from") || word.equals("available")
                ? Which.OPENS
                : word.equals("due") || word.equals("by") ? Which.DUE : Which.CLOSES;
        Optional<DateRule> rule = rule(behind, which);
        rule.ifPresent(r -> {
            dates.put(which, r);
            open = which;
            say(text, named(which) + " " + RuleSaid.beside(r, in.lesson()), true);
        });
        return rule.isPresent();
    }

    private Optional<DateRule> rule(String words, Which which) {
        Optional<Times> time = Times.read(words).filter(t -> t.end() == null);
        if (time.isPresent() && in.day() != null) {
            return Optional.of(DateRule.at(in.day().atTime(time.get().start())));
        }
        return new DueWords(in.days(), in.names())
                .read(words, in.lesson(), which)
                .or(() -> MomentWords.read(words, in.days()).map(m -> DateRule.at(m.at(TypedLineDates.edge(which)))));
    }

    private boolean moment(String text) {
        Optional<MomentWords> found = MomentWords.read(text, in.days());
        if (found.isPresent()) {
            days.add(found.get());
            return say(text, said(found.get()), true);
        }
        if (sort == Sort.WORK
                && in.lesson() != null
                && text.matches("(?i)in class|(?:the )?next class|same day|end of class")) {
            return dated(text, "due", text);
        }
        return false;
    }

    /** From one moment to another, or a run of days, or a day with two times. */
    private boolean span(String text) {
        Matcher to = Pattern.compile("(?i)\\s+(?:to|until|till|-|–)\\s+").matcher(text);
        while (to.find()) {
            Optional<MomentWords> first = MomentWords.read(text.substring(0, to.start()), in.days());
            Optional<MomentWords> last = MomentWords.read(text.substring(to.end()), in.days());
            if (first.isPresent()
                    && last.isPresent()
                    && !last.get().day().isBefore(first.get().day())) {
                days.add(first.get());
                days.add(last.get());
                run = true;
                return say(text, said(first.get()) + " to " + said(last.get()), true);
            }
        }
        Optional<RunWords.Found> run = RunWords.find(text, in.days()).filter(f -> f.from() == 0);
        if (run.isPresent()) {
            String rest = text.substring(run.get().to()).replaceFirst("^[,\\s]+", "");
            Optional<Times> at = Times.read(rest);
            if (rest.isEmpty() || at.isPresent()) {
                times = at.orElse(times);
                days.add(new MomentWords(run.get().first(), null));
                if (!run.get().last().equals(run.get().first())) {
                    days.add(new MomentWords(run.get().last(), null));
                    this.run = true;
                }
                return say(
                        text,
                        Say.days(run.get().first(), run.get().last())
                                + at.map(t -> ", " + said(t)).orElse(""),
                        true);
            }
        }
        return false;
    }

    private boolean time(String text) {
        Optional<Times> found = Times.read(text);
        if (found.isEmpty()) {
            return false;
        }
        if (open != null && repeat == null && found.get().end() == null) {
            dates.computeIfPresent(
                    open, (w, rule) -> DueWords.timed(rule, found.get().start()));
        } else {
            times = found.get();
        }
        return say(text, said(found.get()), true);
    }

    private boolean where(String text) {
        boolean meant = WHERE.matcher(text).matches() || sort == Sort.NOTICE && (times != null || repeat != null);
        if (!meant
                || LOOKS_DATED.matcher(text).matches() && !WHERE.matcher(text).matches()) {
            return false;
        }
        place = text.replaceFirst("(?i)^(?:in|at)\\s+", "");
        return say(text, "where", true);
    }

    /** Words that mean nothing by themselves: of the title, unless they look as if they meant more. */
    private void other(String words) {
        String text = words;
        boolean first = title.isEmpty();
        if (!first
                && (LOOKS_DATED.matcher(text).matches()
                        || parts.stream().anyMatch(p -> p.as().equals("title") && !p.understood()))) {
            say(text, in.days().why(text).orElse("not understood: write 20 oct, 17:00, fri 5pm or next class"), false);
            return;
        }
        if (first && sort == Sort.WORK) {
            text = counted(text);
        }
        Matcher due =
                Pattern.compile("(?i)^(.*?\\S)\\s+((?:due|opens|closes)\\b.*)$").matcher(text);
        if (first && due.matches()) {
            say(
                    due.group(2),
                    in.days()
                            .why(due.group(2).replaceFirst("\\S+\\s*", ""))
                            .orElse("not understood: write due next class, due 2 days after or due 3 nov"),
                    false);
            text = due.group(1);
        }
        title = first ? text : title + ", " + text;
        say(text, "title", true);
    }

    /** Takes points and minutes out of a title. */
    private String counted(String text) {
        String rest = text;
        for (Pattern pattern : List.of(POINTS, MINUTES)) {
            Matcher m = pattern.matcher(rest);
            if (m.find()) {
                meaning(m.group());
                rest = (rest.substring(0, m.start()) + rest.substring(m.end()))
                        .replaceAll("\\s+", " ")
                        .strip();
            }
        }
        return rest;
    }

    boolean say(String text, String as, boolean understood) {
        parts.add(new Part(text, as, understood));
        return true;
    }

    private static String named(Which which) {
        return which.name().toLowerCase(Locale.ROOT);
    }

    private static String said(MomentWords moment) {
        return moment.time() == null
                ? Say.day(moment.day())
                : Say.moment(moment.day().atTime(moment.time()));
    }

    private static String said(Times times) {
        return times.end() == null
                ? "at " + Say.time(times.start())
                : Say.time(times.start()) + " to " + Say.time(times.end());
    }
}
