package app.matsuri.core;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.change.Refused;
import app.matsuri.core.findings.Finding;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.RuleSaid;
import app.matsuri.core.plan.Which;
import app.matsuri.core.proposal.Moved;
import app.matsuri.core.proposal.Proposal;
import app.matsuri.core.repace.Repair;
import app.matsuri.core.rollover.RollBy;
import app.matsuri.core.rollover.Rolled;
import app.matsuri.core.rollover.RolledOver;
import app.matsuri.core.rollover.Rollover;
import app.matsuri.core.schedule.ItemDates;
import app.matsuri.core.schedule.NoticeDates;
import app.matsuri.core.schedule.Resolved;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.schedule.SectionSchedule;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Changes of each kind on odd plans: made or refused with a sentence; and whatever follows has a date, or says why it has none. */
class EveryChangeTest {

    private static final int PLANS = Integer.getInteger("matsuri.plans", 36);

    private static void dated(SectionSchedule in) {
        for (ItemDates item : in.dates()) {
            for (Which which : Which.values()) {
                Resolved date = item.get(which);
                DateRule rule = item.rule(which);
                assertThat(date == null).as("a date where there is a rule").isEqualTo(rule == null);
                if (date != null && rule != null) {
                    assertThat(date.resolved()).isEqualTo(date.why() == null);
                    assertThat(RuleSaid.beside(rule, item.item().lesson())).isNotBlank();
                    assertThat(RuleSaid.typed(rule)).isNotBlank();
                    assertThat(RuleSaid.brief(rule)).isNotBlank();
                    RuleSaid.hangs(rule, in.course())
                            .ifPresent(said -> assertThat(said).isNotBlank());
                }
            }
        }
        for (NoticeDates notice : in.notices()) {
            notice.entries().forEach(e -> assertThat(e.resolved()).isEqualTo(e.why() == null));
        }
        int load = in.loads().stream().mapToInt(l -> l.minutes()).sum();
        int work = in.workByDay().values().stream().mapToInt(n -> n).sum();
        assertThat(load).isNotNegative();
        assertThat(work).isNotNegative();
    }

    private static void looked(Decisions before, Change change, LocalDate today) {
        Proposal proposal;
        try {
            proposal = Proposal.of(Proposal.Before.of(before, today), change, true, true);
        } catch (Refused e) {
            assertThat(e.getMessage()).isNotBlank();
            return;
        }
        assertThat(proposal.sentence()).isNotBlank().doesNotContain("null");
        assertThat(proposal.notes()).allSatisfy(n -> assertThat(n).isNotBlank().doesNotContain("null"));
        for (Moved moved : proposal.moves()) {
            assertThat(moved.from()).as(moved.what() + " " + moved.id()).isNotEqualTo(moved.to());
            assertThat(moved.why()).isNotBlank();
        }
    }

    @Test
    void isMadeOrRefusedWithASentence() {
        for (int seed = 0; seed < PLANS; seed++) {
            OddPlans odd = new OddPlans(seed);
            Schedule schedule = Schedule.of(odd.plan());
            LocalDate today = seed % 3 == 0 ? null : odd.plan().term().first().plusDays(seed % 40);
            for (Finding finding : Findings.of(schedule, today)) {
                assertThat(finding.sentence()).isNotBlank().doesNotContain("null");
                if (finding.mend() != null) {
                    looked(odd.plan(), finding.mend(), today);
                }
            }
            for (SectionSchedule in : schedule.sections()) {
                dated(in);
                for (Change change : odd.changes(in)) {
                    try {
                        looked(odd.plan(), change, today);
                    } catch (RuntimeException | AssertionError e) {
                        throw new AssertionError("plan of seed " + seed + ", " + change, e);
                    }
                }
            }
        }
    }

    @Test
    void aRepairOfOneSectionKnowsWhatWasHeld() {
        for (int seed = 0; seed < PLANS; seed++) {
            OddPlans odd = new OddPlans(seed);
            LocalDate today = odd.plan().term().first().plusDays(seed % 45);
            for (SectionSchedule in : Schedule.of(odd.plan()).sections()) {
                Change change = odd.changes(in).get(2);
                try {
                    Repair repair = Repair.of(
                            odd.plan(), in.key(), seed % 2 == 0 ? change : null, seed % 4 == 0 ? null : today);
                    assertThat(repair.ways(today))
                            .isNotEmpty()
                            .allSatisfy(w -> assertThat(w.sentence()).isNotBlank());
                    assertThat(repair.tidy().name()).isNotBlank();
                    assertThat(repair.classes().keySet())
                            .allSatisfy(name -> assertThat(name.toLocalDate()).isBeforeOrEqualTo(today));
                } catch (Refused e) {
                    assertThat(e.getMessage()).isNotBlank();
                }
            }
        }
    }

    /** Whatever the way, each date of the old term is carried, kept, lost or waits, and says how; and it can be rolled twice. */
    @Test
    void aRolloverSaysWhatBecameOfEachDate() {
        for (int seed = 0; seed < PLANS; seed++) {
            Decisions from = new OddPlans(seed).plan();
            Decisions into = Decisions.of(new OddPlans(seed + 1000L).plan().term(), List.of());
            for (RollBy by : Plans.WAYS) {
                Rollover rollover =
                        new Rollover(from, List.of("HYD 210"), Set.of(), by, Map.of(), seed % 3 == 0, false);
                RolledOver over = rollover.into(into);
                assertThat(over.sentence()).isNotBlank();
                for (Rolled row : over.rows()) {
                    assertThat(row.why())
                            .as("%s %s of seed %d by %s", row.what(), row.id(), seed, by)
                            .isNotBlank();
                    boolean lost = row.state() == Rolled.State.LOST || row.state() == Rolled.State.HAND;
                    assertThat(row.now() == null)
                            .as("%s by %s, seed %d", row, by, seed)
                            .isEqualTo(lost);
                }
                Schedule.of(over.after()).sections().forEach(EveryChangeTest::dated);
                Findings.of(Schedule.of(over.after()))
                        .forEach(f -> assertThat(f.sentence()).isNotBlank().doesNotContain("null"));
                new Rollover(from, List.of("HYD 210"), Set.of(), by, Map.of(), false, true).into(over.after());
            }
        }
    }
}
