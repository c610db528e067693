package app.matsuri.exchange.outline;

import app.matsuri.core.plan.Anchor;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Edge;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.words.MomentWords;
import java.time.LocalDate;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** What the days and times of a typed line come to as the dates of work. */
final class TypedLineDates {

    private static final LocalTime END_OF_DAY = LocalTime.of(23, 59);

    private final TypedLineReader line;

    TypedLineDates(TypedLineReader line) {
        this.line = line;
    }

    /** Puts the line.dates of the work together from all that was read, and says where that cannot be. */
    void settle() {
        if (line.repeat != null) {
            if (!line.days.isEmpty() || line.dates.containsKey(Which.DUE)) {
                line.say(
                        "", "what repeats has no single date: write from and until, and at what time it is due", false);
            }
            return;
        }
        if (line.often > 0) {
            line.say("", "say on which days: every friday, " + line.often + " times", false);
        }
        if (line.days.size() > 1 && (line.days.size() > 2 || !line.run || line.dates.containsKey(Which.DUE))) {
            line.say("", "write opens, due or closes before each date", false);
        }
        if (line.days.size() == 2) {
            line.dates.putIfAbsent(Which.OPENS, at(line.days.get(0), Which.OPENS));
            line.dates.putIfAbsent(Which.DUE, at(line.days.get(1), Which.DUE));
        } else if (line.days.size() == 1 && !line.dates.containsKey(Which.DUE)) {
            MomentWords only = line.days.get(0);
            if (line.times != null && line.times.end() != null) {
                line.dates.put(Which.DUE, at(new MomentWords(only.day(), line.times.end()), Which.DUE));
                line.dates.putIfAbsent(Which.OPENS, DateRule.at(only.day().atTime(line.times.start())));
            } else {
                line.dates.put(Which.DUE, at(withTime(only), Which.DUE));
            }
        } else if (line.days.size() == 1) {
            line.say("", "write opens or closes before the other date", false);
        } else if (line.times != null && line.times.end() != null && line.in.day() != null) {
            line.dates.putIfAbsent(Which.OPENS, DateRule.at(line.in.day().atTime(line.times.start())));
            line.dates.putIfAbsent(Which.DUE, DateRule.at(line.in.day().atTime(line.times.end())));
        }
        if (!line.dates.containsKey(Which.DUE) && line.in.day() != null) {
            line.dates.put(Which.DUE, onTheDay(line.in.day(), line.times == null ? null : line.times.start()));
        }
    }

    private MomentWords withTime(MomentWords moment) {
        return moment.time() == null && line.times != null ? new MomentWords(moment.day(), line.times.start()) : moment;
    }

    private static DateRule at(MomentWords moment, Which which) {
        return DateRule.at(moment.at(edge(which)));
    }

    /** Due at the start of that day's lesson, or at the time said; on a day on which none begins, at its end. */
    private DateRule onTheDay(LocalDate day, @Nullable LocalTime time) {
        if (line.in.lesson() == null || !line.in.begins()) {
            return DateRule.at(day.atTime(time == null ? END_OF_DAY : time));
        }
        DateRule with = DateRule.of(new Anchor.WithLesson(line.in.lesson(), Edge.START));
        return time == null ? with : with.at(time);
    }

    /** The time of a day without one: its beginning where work opens, else its end. */
    static LocalTime edge(Which which) {
        return which == Which.OPENS ? LocalTime.MIDNIGHT : END_OF_DAY;
    }
}
