package app.matsuri.server.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Which;
import app.matsuri.core.runlist.RunClass;
import app.matsuri.core.runlist.TimedStep;
import app.matsuri.server.page.PageWords;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.context.support.ResourceBundleMessageSource;

/** A class in words, with what runs now. */
class RunPagesTest {

    private static final LocalDateTime TEN = LocalDateTime.parse("2026-10-07T10:00");

    private static PageWords words() {
        ResourceBundleMessageSource messages = new ResourceBundleMessageSource();
        messages.setBasename("page/messages");
        messages.setDefaultEncoding("UTF-8");
        return new PageWords(messages, Locale.ENGLISH, false);
    }

    private static RunClass running() {
        return new RunClass(
                new SectionRef("HYD 210", "A"),
                "Reading Rivers",
                TEN,
                TEN.plusMinutes(50),
                "Weir House 2",
                "",
                24,
                List.of(new RunClass.Part(
                        "CH",
                        "CH",
                        "CH1",
                        "Why channels bend",
                        1,
                        1,
                        List.of(
                                new TimedStep(TEN, 20, "Warm-up"),
                                new TimedStep(TEN.plusMinutes(20), 30, "Sand table")),
                        List.of(),
                        List.of(),
                        "")),
                List.of(new RunClass.Work("Lab report 2", Which.DUE, TEN, "paper", "the tray")),
                List.of(),
                List.of());
    }

    @Test
    void theStepThatRunsSaysHowLongStill() {
        RunPage.ClassLine line = new RunPages(words(), TEN.plusMinutes(25)).line(running(), Map.of(), use -> "");
        assertThat(line.running()).isEqualTo("25 minutes left.");
        assertThat(line.parts().get(0).steps())
                .extracting(RunPage.StepLine::at, RunPage.StepLine::running)
                .containsExactly(tuple("10:00", null), tuple("10:20", "25 minutes left."));
        assertThat(line.work())
                .singleElement()
                .satisfies(work -> assertThat(work.words()).isEqualTo("due 10:00; To hand in: on paper; the tray"));
    }

    @Test
    void beforeAndAfterNothingRuns() {
        assertThat(new RunPages(words(), TEN.minusMinutes(1))
                        .line(running(), Map.of(), use -> "")
                        .running())
                .isNull();
        assertThat(new RunPages(words(), TEN.plusMinutes(50))
                        .line(running(), Map.of(), use -> "")
                        .running())
                .isNull();
    }
}
