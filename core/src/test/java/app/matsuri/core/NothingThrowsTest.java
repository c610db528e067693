package app.matsuri.core;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.flow.Placement;
import app.matsuri.core.lookback.LookBack;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Own;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.repace.InStep;
import app.matsuri.core.repace.Spare;
import app.matsuri.core.repace.Ways;
import app.matsuri.core.rollover.RollBy;
import app.matsuri.core.rollover.Rollover;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Over plans with every combination of flags: nothing that follows from decisions throws. */
class NothingThrowsTest {

    /** How many: {@code -Dmatsuri.plans=600} for a long look. */
    private static final int PLANS = Integer.getInteger("matsuri.plans", 150);

    /** Changes that a person could make next. */
    private static List<Change> changes(SectionSchedule in, Random random) {
        List<Change> changes = new ArrayList<>();
        String section = in.section().code();
        if (in.sessions().size() > 0) {
            var session = in.sessions().get(random.nextInt(in.sessions().size()));
            LocalDate day = session.date();
            changes.add(new AddClosure(Closure.of(day, day.plusDays(random.nextInt(5)), "Flood", "weather")));
            changes.add(new HoldEmpty("HYD 210", section, session.name(), true));
            changes.add(new RecordTaught("HYD 210", section, session.name(), List.of(), false, ""));
            List<String> lessons = in.lessonsBySession().getOrDefault(session.name(), List.of());
            changes.add(new RecordTaught("HYD 210", section, session.name(), lessons, random.nextBoolean(), ""));
        }
        if (!in.course().lessons().isEmpty()) {
            var lessons = in.course().lessons();
            String lesson = lessons.get(random.nextInt(lessons.size())).id();
            int by = random.nextInt(5) - 2;
            changes.add(new Shift(
                    "HYD 210",
                    random.nextBoolean() ? section : null,
                    List.of(lesson),
                    null,
                    List.of(),
                    null,
                    null,
                    by == 0 ? 1 : by,
                    Shift.In.values()[random.nextInt(5)],
                    random.nextInt(4) == 0));
        }
        return changes;
    }

    private static void look(Decisions plan, Random random) {
        LocalDate today = random.nextInt(3) == 0 ? null : plan.term().first().plusDays(random.nextInt(50));
        Proposal.Before base = Proposal.Before.of(plan, today);
        Schedule schedule = base.schedule();
        assertThat(base.findings()).doesNotContainNull();
        for (SectionSchedule in : schedule.sections()) {
            LookBack.of(in);
            Ways.slide(in);
            Ways.tidy(in);
            for (Change change : changes(in, random)) {
                Proposal proposal;
                try {
                    proposal = Proposal.of(base, change, random.nextBoolean(), random.nextInt(4) > 0);
                } catch (Refused e) {
                    assertThat(e.getMessage()).isNotBlank();
                    continue;
                }
                SectionSchedule after = proposal.schedule()
                        .section("HYD 210", in.section().code())
                        .orElseThrow();
                Ways.out(
                        in,
                        after,
                        random.nextBoolean() ? plan.term().first().plusDays(20) : null,
                        today == null ? null : today.atStartOfDay());
            }
        }
        if (random.nextInt(4) == 0) {
            SectionSchedule a = schedule.sections().get(0);
            SectionSchedule b = schedule.sections().get(1);
            Spare.of(plan, a);
            InStep.of(plan, a, b, plan.term().first().plusDays(20));
            InStep.of(plan, b, a, plan.term().first().plusDays(20));
        }
    }

    @Test
    void noScheduleFindingProposalOrWayThrows() {
        for (int seed = 0; seed < 2 * PLANS; seed++) {
            Decisions plan = new RandomPlans(seed).plan();
            try {
                look(plan, new Random(seed));
            } catch (RuntimeException e) {
                throw new AssertionError("plan of seed " + seed, e);
            }
        }
    }

    @Test
    void noRolloverThrows() {
        for (int seed = 0; seed < PLANS; seed++) {
            Decisions plan = new RandomPlans(seed).plan();
            Decisions into = Decisions.of(new RandomPlans(seed + 1000L).plan().term(), List.of());
            for (RollBy by : Plans.WAYS) {
                try {
                    Rollover all = Rollover.of(plan, "HYD 210", by);
                    Rollover fit =
                            new Rollover(plan, all.courses(), all.units(), by, all.taken(), seed % 3 == 0, false);
                    assertThat(fit.into(into).sentence()).isNotBlank();
                } catch (RuntimeException e) {
                    throw new AssertionError("plan of seed " + seed + " by " + by, e);
                }
            }
        }
    }

    /** A lesson joined and pinned, its pin behind the last class that may be used. */
    @Test
    void aJoinedLessonWhosePinIsBehindTheLastClassFindsNoRoom() {
        Decisions plan = Plans.plan(
                Plans.sectionA().withJoined("L3", true).withPin("L3", Own.other(Plans.day("2026-12-19"))),
                Plans.unit(50));
        SectionSchedule in = Schedule.of(plan).sections().get(0);
        assertThat(in.byLesson().get("L3").why()).isEqualTo(Placement.Lack.PIN_HAS_NO_ROOM);
        assertThat(Findings.of(Schedule.of(plan)))
                .anyMatch(f ->
                        f.code().equals("no-room-before-pin") && f.about().id().equals("L3"));
    }
}
