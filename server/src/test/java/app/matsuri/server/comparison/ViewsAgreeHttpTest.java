package app.matsuri.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.schedule.ThingDates;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every view says what the plan comes to by the rules alone: the Wall, Dates, Lanes, classes and files, before and after a lost day. */
class ViewsAgreeHttpTest extends DemoTest {

    private Schedule schedule() throws Exception {
        Decisions decisions = PlanFile.read(browser.plan(term)).decisions();
        return Schedule.of(Known.there(decisions, "the plan"));
    }

    private JsonNode ask(String view, SectionSchedule in) throws Exception {
        String course =
                URLEncoder.encode(in.course().code(), StandardCharsets.UTF_8).replace("+", "%20");
        Browser.Answer answer = browser.get(at + "/" + view + "?course=" + course + "&section="
                + in.section().code());
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private static List<JsonNode> list(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).toList();
    }

    private void loseADay() throws Exception {
        assertThat(browser.change(term, 1, ServerTest.FLOOD).status()).isEqualTo(200);
    }

    private void theWallSaysIt() throws Exception {
        for (SectionSchedule in : schedule().sections()) {
            Map<String, Set<String>> lessons = new HashMap<>();
            Map<String, Set<String>> due = new HashMap<>();
            list(ask("wall", in).path("weeks"))
                    .forEach(week -> list(week.path("days")).forEach(day -> {
                        String date = day.path("date").stringValue();
                        list(day.path("lessons"))
                                .forEach(l -> lessons.computeIfAbsent(date, d -> new TreeSet<>())
                                        .add(l.path("id").stringValue()));
                        list(day.path("items")).stream()
                                .filter(i -> i.path("which").stringValue().endsWith("due") && !i.hasNonNull("course"))
                                .forEach(i -> due.computeIfAbsent(date, d -> new TreeSet<>())
                                        .add(i.path("id").stringValue()));
                    }));
            Map<String, Set<String>> planned = new HashMap<>();
            for (Placement placement : in.placements()) {
                placement
                        .slots()
                        .forEach(slot -> planned.computeIfAbsent(
                                        in.sessions().get(slot.session()).date().toString(), d -> new TreeSet<>())
                                .add(placement.lesson().id()));
            }
            assertThat(lessons).as("lessons of %s", in.key()).isEqualTo(planned);
            Map<String, Set<String>> dates = new HashMap<>();
            for (ItemDates item : in.dates()) {
                LocalDateTime at = item.at(Which.DUE);
                if (at != null && shown(in, at.toLocalDate())) {
                    dates.computeIfAbsent(at.toLocalDate().toString(), d -> new TreeSet<>())
                            .add(item.item().id());
                }
            }
            assertThat(due).as("work of %s", in.key()).isEqualTo(dates);
        }
    }

    /** Days of the first and the last week are shown, also outside the term. */
    private static boolean shown(SectionSchedule in, LocalDate day) {
        Term term = in.calendar().term();
        return !day.isBefore(term.weekOf(term.first()))
                && day.isBefore(term.weekOf(term.last()).plusWeeks(1));
    }

    private void theTableOfDatesSaysIt() throws Exception {
        Schedule schedule = schedule();
        Map<String, Course> courses = new HashMap<>();
        schedule.sections().forEach(in -> courses.put(in.course().code(), in.course()));
        JsonNode view = browser.get(at + "/dates").body();
        int cells = 0;
        for (JsonNode row : list(view.path("rows"))) {
            Course course = courses.get(row.path("course").stringValue());
            for (Which which : Which.values()) {
                List<JsonNode> moments =
                        list(row.path(which.name().toLowerCase()).path("at"));
                for (int s = 0; s < moments.size(); s++) {
                    Section section = course.sections().get(s);
                    ThingDates dates = schedule.section(course.code(), section.code())
                            .flatMap(in -> in.dated(row.path("id").stringValue()))
                            .orElse(null);
                    LocalDateTime at = dates == null ? null : dates.at(which);
                    String said = moments.get(s).asString("");
                    assertThat(said.isEmpty() ? null : LocalDateTime.parse(said))
                            .as("%s of %s in %s", which, row.path("title"), section.code())
                            .isEqualTo(at);
                    cells++;
                }
            }
        }
        assertThat(cells).isGreaterThan(300);
    }

    private void classesAndLanesSayIt() throws Exception {
        Map<String, Set<String>> knots = new HashMap<>();
        list(browser.get(at + "/lanes").body().path("lanes"))
                .forEach(lane -> list(lane.path("knots"))
                        .forEach(knot -> knots.computeIfAbsent(
                                        lane.path("course").stringValue() + "/"
                                                + lane.path("section").stringValue(),
                                        l -> new HashSet<>())
                                .add(knot.path("date").stringValue())));
        for (SectionSchedule in : schedule().sections()) {
            Set<String> classes = new HashSet<>();
            list(ask("classes", in)).forEach(c -> classes.add(c.toString()));
            in.sessions()
                    .all()
                    .forEach(s -> assertThat(classes)
                            .as("classes of %s", in.key())
                            .anyMatch(c -> c.contains(s.start().toString())));
            Set<String> taken = new HashSet<>();
            in.placements()
                    .forEach(p -> p.slots()
                            .forEach(slot -> taken.add(
                                    in.sessions().get(slot.session()).date().toString())));
            assertThat(knots.getOrDefault(in.key(), Set.of()))
                    .as("knots of %s", in.key())
                    .isEqualTo(taken);
        }
    }

    private void filesSayIt() throws Exception {
        Schedule schedule = schedule();
        String csv = browser.get(at + "/classes.csv").response().getContentAsString(StandardCharsets.UTF_8);
        String ics = browser.get(at + "/classes.ics").response().getContentAsString(StandardCharsets.UTF_8);
        long meetings = schedule.sections().stream()
                .filter(in -> !in.section().meets().isEmpty())
                .mapToLong(in -> in.sessions().size())
                .sum();
        assertThat(csv.lines().skip(1).filter(l -> !l.contains("cancelled")).count())
                .as("lines of classes")
                .isGreaterThanOrEqualTo(meetings);
        assertThat(ics.split("BEGIN:VEVENT", -1).length - 1).as("events").isGreaterThanOrEqualTo((int) meetings);
        String dates = browser.get(at + "/dates.csv").response().getContentAsString(StandardCharsets.UTF_8);
        for (SectionSchedule in : schedule.sections()) {
            for (ThingDates item : in.dates()) {
                LocalDateTime due = item.at(Which.DUE);
                if (due != null) {
                    assertThat(dates).contains(due.toLocalDate() + " " + due.toLocalTime());
                }
            }
        }
    }

    @Test
    void asThePlanStands() throws Exception {
        theWallSaysIt();
        theTableOfDatesSaysIt();
        classesAndLanesSayIt();
        filesSayIt();
    }

    @Test
    void afterADayIsLost() throws Exception {
        loseADay();
        theWallSaysIt();
        theTableOfDatesSaysIt();
        classesAndLanesSayIt();
        filesSayIt();
    }

    /** What a proposal shows of the Wall is what the Wall shows when it has been made. */
    @Test
    void aProposalShowsWhatWillBe() throws Exception {
        JsonNode shown = browser.post(at + "/proposals?view=wall&course=HYD%20210&section=A", ServerTest.FLOOD)
                .body()
                .path("wall");
        loseADay();
        JsonNode is = browser.get(at + "/wall?course=HYD%20210&section=A").body();
        assertThat(days(shown)).isEqualTo(days(is));
    }

    private static Map<String, List<String>> days(JsonNode wall) {
        Map<String, List<String>> days = new HashMap<>();
        list(wall.path("weeks"))
                .forEach(week -> list(week.path("days")).forEach(day -> {
                    List<String> on = new ArrayList<>();
                    list(day.path("lessons"))
                            .forEach(l -> on.add("lesson " + l.path("id").stringValue()));
                    list(day.path("items"))
                            .forEach(i -> on.add(i.path("which").stringValue() + " "
                                    + i.path("id").stringValue() + " "
                                    + i.path("time").stringValue()));
                    list(day.path("sessions"))
                            .forEach(s -> on.add("class " + s.path("start").asString("")));
                    days.put(day.path("date").stringValue(), on);
                }));
        return days;
    }
}
