package app.matsuri.core.schedule;

/**
 * Students' work of one week in one section.
 *
 * @param week term week, from 1
 * @param minutes expected minutes of what is due in it
 * @param limit minutes above which the week counts as over
 */
public record WeekLoad(int week, int minutes, int limit) {

    public int over() {
        return Math.max(0, minutes - limit);
    }
}
