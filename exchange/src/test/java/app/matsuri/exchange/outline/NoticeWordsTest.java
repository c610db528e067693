package app.matsuri.exchange.outline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DateRule;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Notices as people type them. */
class NoticeWordsTest {

    private static final Course COURSE = Course.of("HYD 210", "Rivers", 50, List.of(), List.of());
    private static final LocalDate DAY = LocalDate.parse("2026-10-08");
    private static final DayWords DAYS =
            new DayWords(LocalDate.parse("2026-10-07"), LocalDate.parse("2026-08-31"), LocalDate.parse("2026-12-18"));

    private static Notice read(String text) {
        return NoticeWords.read(text, DAYS, DAY, COURSE, null).notice();
    }

    private static DateRule at(String moment) {
        return DateRule.at(LocalDateTime.parse(moment));
    }

    @Test
    void theDayItIsTypedIntoOrTheOneItSays() {
        assertThat(NoticeWords.is("notice: Bring boots")).isTrue();
        assertThat(NoticeWords.is("Noticeboard quiz")).isFalse();
        Notice here = read("notice: Bring boots, and a towel");
        assertThat(here.title()).isEqualTo("Bring boots, and a towel");
        assertThat(here.id()).isEqualTo("bring-boots-and-a-towel");
        assertThat(here.when()).isEqualTo(NoticeTime.on(DAY));
        assertThat(read("notice Fair, 24 oct").when()).isEqualTo(NoticeTime.on(LocalDate.parse("2026-10-24")));
        assertThat(read("notice Trip, Oct 24-26").when())
                .isEqualTo(NoticeTime.once(true, at("2026-10-24T00:00"), at("2026-10-26T00:00")));
    }

    @Test
    void atATime() {
        assertThat(read("notice Talk, 15:00").when()).isEqualTo(NoticeTime.once(false, at("2026-10-08T15:00"), null));
        assertThat(read("notice Field day, 24 oct, 8:15-15:30").when())
                .isEqualTo(NoticeTime.once(false, at("2026-10-24T08:15"), at("2026-10-24T15:30")));
    }

    @Test
    void asASeries() {
        NoticeTime.Repeat repeat = read("notice Hut open, every second Thu 15-16:30")
                .when()
                .repeats()
                .get(0);
        assertThat(repeat.rule()).isEqualTo("FREQ=WEEKLY;INTERVAL=2;BYDAY=TH");
        assertThat(repeat.time()).isEqualTo(LocalTime.of(15, 0));
        assertThat(repeat.minutes()).isEqualTo(90);
    }

    @Test
    void withoutADayItSaysHowToSayOne() {
        assertThatThrownBy(() -> NoticeWords.read("notice Boots", DAYS, null, COURSE, null))
                .hasMessageContaining("Say when");
        Course had = COURSE.withNotice(Notice.of("boots", "Boots", NoticeTime.on(DAY)));
        assertThat(NoticeWords.read("notice Boots", DAYS, DAY, had, null)
                        .notice()
                        .id())
                .isEqualTo("boots-2");
    }
}
