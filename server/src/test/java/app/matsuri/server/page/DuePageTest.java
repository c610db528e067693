package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.ThingRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.shown.Shown;
import app.matsuri.core.shown.ShownThing;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;

/** What is due over all courses: today, this week, this month, later, past due and still taken (public.md, "Pages"). */
class DuePageTest {

    /** A Wednesday. */
    private static final LocalDateTime NOW = LocalDateTime.parse("2026-10-07T12:00");

    private static PageWords words() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("page/messages");
        messages.setDefaultEncoding("UTF-8");
        return new PageWords(messages, Locale.ENGLISH, false);
    }

    private static ShownThing due(String course, String title, String at) {
        return new ShownThing(
                new ThingRef(course, title),
                title,
                null,
                null,
                Map.of(Which.DUE, LocalDateTime.parse(at)),
                true,
                false,
                false,
                "",
                List.of(),
                List.of());
    }

    private static DuePage.Of section(String course, ShownThing... things) {
        Shown shown = new Shown(
                new SectionRef(course, "A"),
                course.equals("MAP 115") ? "Maps by Hand" : "Reading Rivers",
                "",
                true,
                null,
                NOW,
                NOW.plusHours(1),
                NOW,
                1,
                List.of(),
                List.of(things),
                List.of(),
                List.of(),
                List.of(),
                List.of());
        return new DuePage.Of(shown, "/see/x?of=" + course, ref -> "/see/x/thing?id=" + ref.id());
    }

    private static final DuePage.Of RIVERS = section(
            "HYD 210",
            due("HYD 210", "Past", "2026-10-05T17:00"),
            due("HYD 210", "Today", "2026-10-07T17:00"),
            due("HYD 210", "Sunday", "2026-10-11T23:59"),
            due("HYD 210", "Next month", "2026-11-02T17:00"));

    private static final DuePage.Of MAPS = section(
            "MAP 115", due("MAP 115", "Monday", "2026-10-12T10:00"), due("MAP 115", "Friday", "2026-10-09T10:00"));

    private static List<String> lines(DuePage page) {
        List<String> lines = new ArrayList<>();
        page.groups().forEach(g -> g.due().forEach(d -> lines.add(g.title() + ": " + d.title() + " " + d.when())));
        return lines;
    }

    @Test
    void itIsInOrderOfTimeOverAllCoursesWithWhatIsPastAtTheEnd() {
        DuePage page = DuePage.of(List.of(RIVERS, MAPS), words(), "/see/x", List.of());
        assertThat(lines(page))
                .containsExactly(
                        "Today: Today today 17:00",
                        "This week: Friday Fri 9 Oct, 10:00",
                        "This week: Sunday Sun 11 Oct, 23:59",
                        "This month: Monday Mon 12 Oct, 10:00",
                        "Later: Next month Mon 2 Nov, 17:00",
                        "Past due and still taken: Past Mon 5 Oct, 17:00");
        assertThat(page.groups().get(4).late()).isTrue();
        assertThat(page.none()).isEmpty();
    }

    @Test
    void aCourseThatIsHiddenIsKeptInTheAddressAndCanBeShownAgain() {
        DuePage all = DuePage.of(List.of(RIVERS, MAPS), words(), "/see/x", List.of());
        assertThat(all.courses())
                .extracting(DuePage.CourseLine::title, DuePage.CourseLine::turn, DuePage.CourseLine::shown)
                .containsExactly(
                        tuple("HYD 210 Reading Rivers, A", "/see/x?hide=HYD%20210%2FA", true),
                        tuple("MAP 115 Maps by Hand, A", "/see/x?hide=MAP%20115%2FA", true));
        DuePage maps = DuePage.of(List.of(RIVERS, MAPS), words(), "/see/x", List.of("HYD 210/A"));
        assertThat(lines(maps)).hasSize(2).allMatch(line -> line.contains("day"));
        assertThat(maps.courses().get(0).turn()).as("shown again").isEqualTo("/see/x");
        DuePage none = DuePage.of(List.of(MAPS), words(), "/see/x", List.of("MAP 115/A"));
        assertThat(none.groups()).isEmpty();
        assertThat(none.none()).isEqualTo("Nothing is due that has been told.");
    }
}
