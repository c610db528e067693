package app.matsuri.core.plan;

import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What one section has decided and recorded of one lesson, apart from the plan.
 *
 * @param leftOut it is left out
 * @param gap sessions more (or, negative, fewer) to leave empty before it; null for none of its own
 * @param length its length in sessions; null for the plan's
 * @param joined it shares the last session of the lesson before it
 * @param midWeek it may begin its unit on any session of a week
 * @param pin the date it must be on, or that it has none although the plan pins it
 * @param partly it was taught in part and its rest goes on
 * @param minutesHad by minutes, taught in part: the minutes that it had; null where it is not known, so that each class that it had
 *     counts as a usual one
 * @param note why it took longer; null for nothing noted
 */
public record OwnLesson(
        boolean leftOut,
        @Nullable Integer gap,
        @Nullable Integer length,
        boolean joined,
        boolean midWeek,
        Own<LocalDate> pin,
        boolean partly,
        @Nullable Integer minutesHad,
        @Nullable String note) {

    /** Nothing apart from the plan. */
    public static final OwnLesson NOTHING =
            new OwnLesson(false, null, null, false, false, Own.asPlanned(), false, null, null);

    public OwnLesson {
        Objects.requireNonNull(pin, "pin");
    }

    public OwnLesson withLeftOut(boolean now) {
        return new OwnLesson(now, gap, length, joined, midWeek, pin, partly, minutesHad, note);
    }

    public OwnLesson withGap(@Nullable Integer now) {
        return new OwnLesson(leftOut, now, length, joined, midWeek, pin, partly, minutesHad, note);
    }

    public OwnLesson withLength(@Nullable Integer now) {
        return new OwnLesson(leftOut, gap, now, joined, midWeek, pin, partly, minutesHad, note);
    }

    public OwnLesson withJoined(boolean now) {
        return new OwnLesson(leftOut, gap, length, now, midWeek, pin, partly, minutesHad, note);
    }

    public OwnLesson withMidWeek(boolean now) {
        return new OwnLesson(leftOut, gap, length, joined, now, pin, partly, minutesHad, note);
    }

    public OwnLesson withPin(Own<LocalDate> now) {
        return new OwnLesson(leftOut, gap, length, joined, midWeek, now, partly, minutesHad, note);
    }

    /** The same, taught in part or not; what minutes it had is kept only of one taught in part. */
    public OwnLesson withPartly(boolean now) {
        return new OwnLesson(leftOut, gap, length, joined, midWeek, pin, now, now ? minutesHad : null, note);
    }

    public OwnLesson withMinutesHad(@Nullable Integer now) {
        return new OwnLesson(leftOut, gap, length, joined, midWeek, pin, partly, now, note);
    }

    public OwnLesson withNote(@Nullable String now) {
        return new OwnLesson(leftOut, gap, length, joined, midWeek, pin, partly, minutesHad, now);
    }
}
