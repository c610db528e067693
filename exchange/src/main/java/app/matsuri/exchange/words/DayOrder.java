package app.matsuri.exchange.words;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Whether the day stands before the month where both are numbers. */
public final class DayOrder {

    private static final Pattern ENGLISH = Pattern.compile("(?i)\\b(?:fall|college|semester|district|school)\\b");
    private static final Pattern MONTH_THEN = Days.of("\\b" + Days.MONTH + "\\s*\\d{1,2}\\b(?!\\d)");
    private static final Pattern THEN_MONTH = Days.of("(?<!\\d)\\d{1,2}\\.?\\s+" + Days.MONTH);
    private static final Pattern ORDER =
            Pattern.compile("(?<![\\d/])(\\d{1,2})/(\\d{1,2})(?:/(?:20)?\\d{2})?(?![\\d/])");

    private DayOrder() {}

    /**
     * Whether 10/11 is the tenth of November in a text: as its own days show, else as is usual.
     *
     * @param usual null where nothing is known
     */
    public static boolean dayFirst(String text, @Nullable Boolean usual) {
        boolean day = false;
        boolean month = false;
        Matcher m = ORDER.matcher(text);
        while (m.find()) {
            int a = Integer.parseInt(m.group(1));
            int b = Integer.parseInt(m.group(2));
            day |= a > 12 && a <= 31 && b <= 12;
            month |= b > 12 && b <= 31 && a <= 12;
        }
        if (day != month) {
            return day;
        }
        if (usual != null || text.indexOf('/') < 0) {
            return usual != null && usual;
        }
        // "Aug 31" or "31 Aug": numbers stand in the order of the words
        long monthFirst = MONTH_THEN.matcher(text).results().count();
        long dayThen = THEN_MONTH.matcher(text).results().count();
        return monthFirst == dayThen ? !ENGLISH.matcher(text).find() : dayThen > monthFirst;
    }
}
