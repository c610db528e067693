package app.matsuri.exchange.plan;

import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The plan file's words for what Java names otherwise. */
public final class Words {

    private static final List<String> WEEKDAYS = List.of("MO", "TU", "WE", "TH", "FR", "SA", "SU");
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm");
    private static final DateTimeFormatter SECOND = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss");

    private Words() {}

    /**
     * The weekday of two letters.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static DayOfWeek weekday(String word) {
        int index = WEEKDAYS.indexOf(word);
        if (index < 0) {
            throw new WrongWord(word, WEEKDAYS);
        }
        return DayOfWeek.of(index + 1);
    }

    public static String weekday(DayOfWeek weekday) {
        return WEEKDAYS.get(weekday.getValue() - 1);
    }

    /** A local date and time as "2026-10-05T17:00"; with seconds only where it has some. */
    public static String moment(@Nullable LocalDateTime moment) {
        return moment == null ? "" : moment.format(moment.getSecond() == 0 ? MOMENT : SECOND);
    }

    /** An enum constant as "teaching-days". */
    public static String word(Enum<?> constant) {
        return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /**
     * The constant of such a word.
     *
     * @throws WrongWord where it is none
     */
    public static <E extends Enum<E>> E constant(Class<E> type, String word) {
        for (E constant : type.getEnumConstants()) {
            if (word(constant).equals(word.toLowerCase(Locale.ROOT))) {
                return constant;
            }
        }
        throw new WrongWord(word, all(type));
    }

    /** All words of an enum. */
    public static <E extends Enum<E>> List<String> all(Class<E> type) {
        return java.util.Arrays.stream(type.getEnumConstants()).map(Words::word).toList();
    }
}
