package app.matsuri.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.section.Tell;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Dated;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Reminder.Whom;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.Which;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import app.matsuri.core.shown.Reader;
import app.matsuri.core.shown.Shown;
import app.matsuri.exchange.calendar.FeedEntry;
import app.matsuri.exchange.calendar.FeedWriter;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.page.PageWords;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.io.text.ICalReader;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.validate.ValidationResult;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.support.ResourceBundleMessageSource;

/**
 * Feeds hold what was told, row for row; read back by biweekly 0.6.8 and without a remark of ical4j 4.4.0's validator (RFC 5545).
 */
class FeedsTest {

    private static final LocalDateTime NOW = LocalDateTime.parse("2026-10-07T09:00");
    private static final List<String> ZONES =
            List.of("America/Chicago", "Europe/Berlin", "UTC", "Pacific/Auckland", "Asia/Kolkata");

    private static PageWords words() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("page/messages");
        messages.setDefaultEncoding("UTF-8");
        messages.setFallbackToSystemLocale(false);
        return new PageWords(messages, Locale.ENGLISH, false);
    }

    private static Decisions demo() throws Exception {
        return PlanFile.read(Files.readAllBytes(Path.of("..", "demo", "autumn-2026.json")))
                .decisions();
    }

    private static Feeds feeds(Decisions plan, SectionSchedule in, boolean busy, boolean allDay) {
        Shown shown = Shown.of(Schedule.of(plan), in, Reader.CLASS, NOW);
        FeedContents contents = new FeedContents(
                EnumSet.allOf(FeedContents.Kind.class), busy, allDay, java.time.Duration.ofHours(24), false);
        return new Feeds(
                shown,
                1,
                plan.term().zone(),
                words(),
                contents,
                new Alarms("HYD 210", List.of(), Whom.STUDENTS, null, contents),
                session -> List.of(),
                ref -> "http://localhost/see/x/thing?id=" + ref.id().replaceAll("\\W", "_"),
                "http://localhost/see/x");
    }

    private static String text(Decisions plan, List<FeedEntry> entries) {
        Term term = plan.term();
        return FeedWriter.write(
                new FeedWriter.Head(
                        "Dates", "http://localhost/see/x/dates.ics", term.zone(), term.first(), term.last()),
                entries);
    }

    private static ICalendar read(String text) throws Exception {
        try (ICalReader reader = new ICalReader(new StringReader(text))) {
            ICalendar calendar = reader.readNext();
            assertThat(reader.getWarnings()).isEmpty();
            assertThat(calendar.validate(biweekly.ICalVersion.V2_0).getWarnings())
                    .isEmpty();
            return calendar;
        }
    }

    private static void valid(String text) throws Exception {
        ValidationResult result =
                new CalendarBuilder().build(new StringReader(text)).validate();
        assertThat(result.getEntries()).isEmpty();
        assertThat(text.lines())
                .allSatisfy(line ->
                        assertThat(line.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(75));
    }

    /** A plan that chance made out of the demo's: other zone, days off, pins, things gone; then told. */
    private static Decisions random(Random chance) throws Exception {
        Decisions plan = demo();
        Term term = plan.term();
        plan = plan.withTerm(new Term(
                term.name(),
                term.first(),
                term.last(),
                ZoneId.of(ZONES.get(chance.nextInt(ZONES.size()))),
                term.weekdays(),
                term.weekStart(),
                term.firstPlanDay(),
                term.closures(),
                term.extraDays(),
                term.runsAs(),
                term.rotation(),
                term.extra()));
        for (int n = 0; n < 6; n++) {
            LocalDate day = term.first().plusDays(chance.nextInt(110));
            Course course = plan.courses().get(chance.nextInt(2));
            List<Lesson> lessons = course.lessons();
            List<Change> changes = new ArrayList<>(List.of(
                    new AddClosure(Closure.of(day, day.plusDays(chance.nextInt(3)), "Überflutung", "weather"))));
            if (!lessons.isEmpty()) {
                changes.add(new Pin(
                        course.code(),
                        null,
                        lessons.get(chance.nextInt(lessons.size())).id(),
                        day));
            }
            if (!course.items().isEmpty()) {
                changes.add(new RemoveItem(
                        course.code(),
                        course.items()
                                .get(chance.nextInt(course.items().size()))
                                .id()));
            }
            changes.add(new Tell(course.code(), null, chance.nextBoolean() ? null : day, "Flood", NOW));
            try {
                plan = Change.make(changes.get(chance.nextInt(changes.size())), plan)
                        .decisions();
            } catch (Refused e) {
                assertThat(e.getMessage()).as("it says why").isNotBlank();
            }
        }
        return plan;
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 10, 20, 30, 40})
    void whatWasToldIsInTheFeedRowForRow(int from) throws Exception {
        for (int seed = from; seed < from + 10; seed++) {
            Random chance = new Random(seed);
            Decisions plan = random(chance);
            for (SectionSchedule in : Schedule.of(plan).sections()) {
                Told told = in.section().told();
                String text =
                        text(plan, feeds(plan, in, chance.nextBoolean(), false).entries());
                valid(text);
                if (!told.begun()) {
                    assertThat(text).as("nothing was told").doesNotContain("VEVENT");
                    continue;
                }
                List<String> expected = new ArrayList<>();
                ZoneId zone = plan.term().zone();
                told.work().forEach((key, of) -> {
                    if (!Dated.meansNotice(key)) {
                        of.dates()
                                .forEach((which, at) -> expected.add(
                                        which + " " + at.atZone(zone).toInstant()));
                    }
                });
                told.sessions()
                        .values()
                        .forEach(s ->
                                expected.add("CLASS " + s.start().atZone(zone).toInstant() + " "
                                        + s.end().atZone(zone).toInstant()));
                List<String> found = new ArrayList<>();
                for (VEvent event : read(text).getEvents()) {
                    String uid = event.getUid().getValue();
                    boolean notice = uid.startsWith("notice");
                    boolean master = event.getRecurrenceRule() != null;
                    if (notice || master) {
                        continue;
                    }
                    if (uid.startsWith("class")) {
                        found.add("CLASS " + event.getDateStart().getValue().toInstant() + " "
                                + event.getDateEnd().getValue().toInstant());
                    } else {
                        Which which =
                                Which.valueOf(uid.substring(0, uid.indexOf('-')).toUpperCase(Locale.ROOT));
                        found.add(which + " "
                                + (which == Which.OPENS ? event.getDateStart() : event.getDateEnd())
                                        .getValue()
                                        .toInstant());
                    }
                }
                if (!told.sessions().isEmpty()) {
                    assertThat(found).as("seed %d %s", seed, in.key()).containsExactlyInAnyOrderElementsOf(expected);
                }
            }
        }
    }

    @Test
    void aSeriesOfClassesIsOneWithItsOtherDaysLeftOutAndEachClassNamed() throws Exception {
        Decisions plan = demo();
        SectionSchedule in = Schedule.of(plan).section("HYD 210", "A").orElseThrow();
        List<VEvent> classes = read(text(plan, feeds(plan, in, true, false).entries())).getEvents().stream()
                .filter(e -> e.getUid().getValue().startsWith("class"))
                .toList();
        assertThat(classes.stream().map(e -> e.getUid().getValue()).distinct()).hasSize(1);
        VEvent series = classes.get(0);
        assertThat(series.getRecurrenceRule()).isNotNull();
        assertThat(series.getExceptionDates().get(0).getValues())
                .as("a holiday and a break")
                .hasSize(2);
        int ruled = 0;
        var dates = series.getDateIterator(java.util.TimeZone.getTimeZone("America/Chicago"));
        while (dates.hasNext()) {
            dates.next();
            ruled++;
        }
        assertThat(ruled)
                .isEqualTo(classes.size() - 1)
                .isEqualTo(in.section().told().sessions().size());
        assertThat(classes.stream().skip(1))
                .allSatisfy(e -> assertThat(e.getRecurrenceId()).isNotNull());
        assertThat(series.getTransparency().isOpaque()).isTrue();
    }

    @Test
    void whatWasToldAwayIsGoneFromTheFeedAndCancelledInADownload() throws Exception {
        Decisions without =
                Change.make(new RemoveItem("HYD 210", "set-5"), demo()).decisions();
        Decisions told = Change.make(new Tell("HYD 210", "A", LocalDate.parse("2026-10-23"), "Too much.", NOW), without)
                .decisions();
        SectionSchedule in = Schedule.of(told).section("HYD 210", "A").orElseThrow();
        Feeds feeds = feeds(told, in, false, false);
        String text = text(told, feeds.entries());
        assertThat(text).doesNotContain("Problem set 5");
        List<FeedEntry> all = new ArrayList<>(feeds.entries());
        all.addAll(feeds.away());
        String download = text(told, all);
        valid(download);
        VEvent gone = read(download).getEvents().stream()
                .filter(e ->
                        e.getStatus().isCancelled() && e.getUid().getValue().startsWith("due"))
                .findFirst()
                .orElseThrow();
        assertThat(gone.getSequence().getValue()).isEqualTo(1);
        Decisions before = demo();
        String uid = Biweekly.parse(text(
                        before,
                        feeds(
                                        before,
                                        Schedule.of(before)
                                                .section("HYD 210", "A")
                                                .orElseThrow(),
                                        false,
                                        false)
                                .entries()))
                .first()
                .getEvents()
                .stream()
                .filter(e -> e.getSummary().getValue().contains("Problem set 5")
                        && e.getUid().getValue().startsWith("due"))
                .findFirst()
                .orElseThrow()
                .getUid()
                .getValue();
        assertThat(gone.getUid().getValue()).isEqualTo(uid);
    }

    @Test
    void whatIsDueMayLastTheWholeDay() throws Exception {
        Decisions plan = demo();
        SectionSchedule in = Schedule.of(plan).section("HYD 210", "A").orElseThrow();
        String text = text(plan, feeds(plan, in, false, true).entries());
        valid(text);
        assertThat(text).contains("DTSTART;VALUE=DATE:20261015\r\nDTEND;VALUE=DATE:20261016");
    }
}
