package app.matsuri.core.plan;

import app.matsuri.core.calendar.Say;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How a date rule is said, in the one wording that tables, lines, days and proposals share. */
public final class RuleSaid {

    private RuleSaid() {}

    /** How it comes to its date, without its time of day: "start of CH1", "CH2 +2 teaching days", "due +1 day", "fixed". */
    public static String brief(DateRule rule) {
        String snap =
                rule.snapTo() == null ? "" : ", then " + word(rule.snapTo()) + (rule.snapBefore() ? " or before" : "");
        return rule.anchor().on(new Brief(rule)) + snap;
    }

    /** The same with its time of day. */
    public static String timed(DateRule rule) {
        return brief(rule) + time(rule);
    }

    /** As it can be typed again, with its time of day. */
    public static String typed(DateRule rule) {
        return rule.plain()
                ? rule.typed().toLocalDate() + ", " + rule.typed().toLocalTime()
                : timed(rule).replace('−', '-');
    }

    /**
     * As it is said beside a lesson: "same day", "next class", "2 days after, 23:59", "with CH2, end of class", "1 day after
     * due"; a date with its year; else as in {@link #typed}.
     *
     * @param lesson the lesson beside which it stands; null for none
     */
    public static String beside(DateRule rule, @Nullable String lesson) {
        if (rule.fixed() && rule.plus().n() == 0) {
            return Say.moment(rule.typed())
                    .replaceFirst(", ", " " + rule.typed().getYear() + ", ");
        }
        return rule.anchor()
                .on(new Beside(lesson))
                .map(with -> counted(rule, with))
                .orElseGet(() -> typed(rule));
    }

    private static String counted(DateRule rule, String with) {
        Offset plus = rule.plus();
        String own = rule.anchor().own().map(RuleSaid::word).orElse("");
        String said;
        if (plus.n() == 0 && rule.snapTo() != null) {
            said = word(rule.snapTo());
        } else if (plus.n() == 0) {
            String day = rule.anchor().edge() == Edge.START ? "same day" : "end of class";
            said = own.isEmpty() ? day : "same as " + own;
        } else if (plus.unit() == Offset.Unit.SESSIONS && plus.n() == 1 && own.isEmpty()) {
            said = "next class";
        } else {
            said = far(plus) + (plus.n() < 0 ? " before" : " after") + (own.isEmpty() ? "" : " " + own) + then(rule);
        }
        return with + said + time(rule);
    }

    /** What of the course it moves with: "hangs on “Divides”"; empty where it moves with nothing. */
    public static Optional<String> hangs(DateRule rule, Course course) {
        return rule.anchor().on(new Hangs(course));
    }

    /** "2 days", "1 class": how far, without the direction. */
    private static String far(Offset plus) {
        int n = Math.abs(plus.n());
        String unit = switch (plus.unit()) {
            case SESSIONS -> n == 1 ? "class" : "classes";
            case TEACHING_DAYS -> n == 1 ? "teaching day" : "teaching days";
            case DAYS -> n == 1 ? "day" : "days";
            case WEEKS -> n == 1 ? "week" : "weeks";
            case HOURS -> n == 1 ? "hour" : "hours";
            case MINUTES -> n == 1 ? "minute" : "minutes";
        };
        return n + " " + unit;
    }

    private static String then(DateRule rule) {
        return rule.snapTo() == null ? "" : ", then " + word(rule.snapTo());
    }

    private static String time(DateRule rule) {
        return rule.time() == null ? "" : ", " + Say.time(rule.time());
    }

    private static String word(Enum<?> name) {
        return name.name().toLowerCase(Locale.ROOT);
    }

    /** What stands before words that count from a lesson or unit; empty where they do not count from one. */
    private record Beside(@Nullable String lesson) implements Anchor.Cases<Optional<String>> {

        @Override
        public Optional<String> fixed(Anchor.Fixed at) {
            return Optional.empty();
        }

        @Override
        public Optional<String> lesson(Anchor.WithLesson with) {
            return Optional.of(with.lesson().equals(lesson) ? "" : "with " + with.lesson() + ", ");
        }

        @Override
        public Optional<String> unit(Anchor.WithUnit with) {
            return Optional.of("with unit " + with.unit() + ", ");
        }

        @Override
        public Optional<String> week(Anchor.InWeek in) {
            return Optional.empty();
        }

        @Override
        public Optional<String> ownDate(Anchor.OwnDate own) {
            return Optional.of("");
        }

        @Override
        public Optional<String> item(Anchor.OfItem of) {
            return Optional.empty();
        }

        @Override
        public Optional<String> beginning(Anchor.OwnBeginning own) {
            return Optional.empty();
        }

        @Override
        public Optional<String> rhythm(Anchor.InRhythm in) {
            return Optional.empty();
        }
    }

    private record Brief(DateRule rule) implements Anchor.Cases<String> {

        /** " +2 days"; nothing for no distance. */
        private String plus() {
            Offset plus = rule.plus();
            return plus.n() == 0 ? "" : (plus.n() < 0 ? " −" : " +") + far(plus);
        }

        @Override
        public String fixed(Anchor.Fixed at) {
            return rule.plus().n() == 0 && rule.snapTo() == null
                    ? "fixed"
                    : Say.day(at.at().toLocalDate()) + plus();
        }

        @Override
        public String lesson(Anchor.WithLesson with) {
            return edge(with.edge(), with.lesson());
        }

        @Override
        public String unit(Anchor.WithUnit with) {
            return edge(with.edge(), "unit " + with.unit());
        }

        /** Without a word for the edge, days count from the end and classes from the start. */
        private String edge(Edge edge, String name) {
            Offset plus = rule.plus();
            if (plus.n() == 0) {
                return (edge == Edge.START ? "start of " : "end of ") + name;
            }
            Edge usual = plus.unit().ofClass() ? Edge.START : Edge.END;
            return name + (edge == usual ? "" : edge == Edge.START ? " start" : " end") + plus();
        }

        @Override
        public String week(Anchor.InWeek in) {
            return (in.teaching() ? "teaching week " : "week ") + in.week() + " " + word(in.weekday()) + plus();
        }

        @Override
        public String ownDate(Anchor.OwnDate own) {
            return rule.plus().n() == 0 ? "with " + word(own.which()) : word(own.which()) + plus();
        }

        @Override
        public String item(Anchor.OfItem of) {
            return word(of.which()) + " of " + of.item() + plus();
        }

        @Override
        public String beginning(Anchor.OwnBeginning own) {
            return "begins" + plus();
        }

        @Override
        public String rhythm(Anchor.InRhythm in) {
            String number = in.number() == 0 ? "each class" : "class " + in.number();
            return (in.edge() == Edge.START ? "" : "end of ") + number + " of " + in.rhythm() + plus();
        }
    }

    /** Null for what moves with nothing of the course. */
    private record Hangs(Course course) implements Anchor.Cases<Optional<String>> {

        @Override
        public Optional<String> fixed(Anchor.Fixed at) {
            return Optional.empty();
        }

        @Override
        public Optional<String> lesson(Anchor.WithLesson with) {
            return course.lesson(with.lesson()).map(l -> "hangs on “" + l.title() + "”");
        }

        @Override
        public Optional<String> unit(Anchor.WithUnit with) {
            return course.unit(with.unit()).map(u -> "hangs on unit “" + u.title() + "”");
        }

        @Override
        public Optional<String> week(Anchor.InWeek in) {
            return Optional.of("in " + (in.teaching() ? "teaching week " : "week ") + in.week());
        }

        @Override
        public Optional<String> ownDate(Anchor.OwnDate own) {
            return Optional.of("hangs on its date “" + word(own.which()) + "”");
        }

        @Override
        public Optional<String> item(Anchor.OfItem of) {
            return course.item(of.item()).map(i -> "hangs on “" + i.title() + "”");
        }

        @Override
        public Optional<String> beginning(Anchor.OwnBeginning own) {
            return Optional.of("hangs on its beginning");
        }

        @Override
        public Optional<String> rhythm(Anchor.InRhythm in) {
            return course.rhythm(in.rhythm()).map(r -> "hangs on class " + in.number() + " of “" + r.title() + "”");
        }
    }
}
