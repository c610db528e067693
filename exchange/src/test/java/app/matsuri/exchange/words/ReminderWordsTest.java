package app.matsuri.exchange.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Reminder.Lead;
import app.matsuri.core.plan.Reminder.Whom;
import java.time.LocalTime;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ReminderWordsTest {

    private static Reminder one(String cell) {
        return ReminderWords.read(cell, "hw3").orElseThrow().get(0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "the day before at 09:00 | the day before at 09:00",
                "1 day before, 9am | the day before at 09:00",
                "a day before | the day before at 09:00",
                "3 days before at 17:30 | 3 days before at 17:30",
                "same day at 8 | that day at 08:00",
                "90 min | 90 min before",
                "2h before, by mail | 2 hours before, by mail",
                "an hour before, in feeds | 1 hour before, in feeds",
                "opens: 10 minutes before, to me | opens: 10 min before, to me",
                "none | none",
                "1 hour before; closes: the day before at 9:00 | 1 hour before; closes: the day before at 09:00"
            })
    void whatIsTypedIsSaidAgain(String typed, String said) {
        assertThat(ReminderWords.say(ReminderWords.read(typed, "hw3").orElseThrow()))
                .isEqualTo(said);
        assertThat(ReminderWords.say(ReminderWords.read(said, "hw3").orElseThrow()))
                .isEqualTo(said);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "tomorrow",
                "29 days before",
                "the day before at 25:00",
                "1 hour before; then",
                "99999 hours",
                "; "
            })
    void anythingElseIsNotUnderstood(String typed) {
        assertThat(ReminderWords.read(typed, "hw3")).isEmpty();
    }

    @Test
    void nothingIsWhatTheCourseDoes() {
        assertThat(ReminderWords.read(" ", "hw3")).contains(List.of());
        assertThat(ReminderWords.say(List.of())).isEmpty();
    }

    @Test
    void allPartsAreRead() {
        assertThat(one("closes: 2 days before at 8:15, by mail, to me"))
                .isEqualTo(new Reminder(
                        "own-hw3-1",
                        List.of(),
                        "hw3",
                        false,
                        Before.CLOSES,
                        Lead.days(2, LocalTime.of(8, 15)),
                        Whom.INSTRUCTOR,
                        true,
                        false));
        assertThat(one("none").mail() || one("none").feed()).isFalse();
    }
}
