package app.matsuri.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.exchange.plan.Json;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** What students see: given out, looked at as they see it, told, and sound on every page. */
class StudentsJourneysTest {

    private static Page wall() throws Exception {
        return Page.open(App.demo()).withPlan("I. Tolvanen", "autumn-2026.json");
    }

    /** Where the page of the class is; from the wall in two actions. */
    private static String given(Page page) {
        page.press("For students");
        page.press("Copy the class's link");
        page.see("[role=status]");
        return page.see("aside a[href*='/see/']").getDomAttribute("href").replaceFirst("^https?://[^/]+", "");
    }

    private static void within(Page page, String text) {
        page.into("iframe");
        page.seeText("body", text);
        page.driver.switchTo().defaultContent();
    }

    @Test
    void theClassGetsItsPageInTwoActionsAndItsFeedInTwo() throws Exception {
        try (Page page = wall()) {
            String path = given(page);
            page.go(path);
            page.seeText("h1", "HYD 210 Reading Rivers, A");
            assertThat(page.text("main")).contains("Why channels bend", "Autumn break", "Quiz 1: stage and flow");
            assertThat(page.count("script")).isZero();
            // one press on the page, one in the calendar that opens
            assertThat(page.see(".btn.go").getDomAttribute("href"))
                    .startsWith("webcal://")
                    .endsWith("/dates.ics");
            page.click("a[href*='thing?'][href*='read-12']");
            page.seeText("main", "due Fri 9 Oct, 10:00");
            page.press("Back");
            page.seeText("h1", "HYD 210");
        }
    }

    /** A date that moved is told with why, by keyboard, and stands on the page; a recording is there with one press. */
    @Test
    void whatMovedIsToldWithWhyAndARecordingIsAddedAtOnce() throws Exception {
        try (Page page = wall()) {
            page.press("For students");
            within(page, "Lab report 2");
            page.press("Tell them…");
            page.see("#tell-why:focus");
            page.keys("The gauge was dry", Keys.ENTER);
            page.gone(".p-dialog");
            page.seeText("aside", "They were told every date");
            within(page, "The gauge was dry");
            page.type("[aria-label='Address to add to the class of Mon 5 Oct']", "https://films.example/gauging");
            page.keys(Keys.ENTER);
            page.seeText("aside", "Recording of Mon 5 Oct");
            page.hold("z", Keys.CONTROL);
            page.driver.findElement(By.cssSelector("h1")).click();
            page.press("Week");
            page.see("iframe");
            within(page, "Pools, riffles, bars");
            assertThat(page.text("main")).as("nothing was typed for it").contains("Save the words");
        }
    }

    @Test
    void everyPageIsSoundOnAScreenAndOnAPhone() throws Exception {
        try (Page page = wall()) {
            String path = given(page);
            AccessibilityTest.inBoth(page, "for students", ".seen aside, .seen .top");
            page.press("Mail 24 students");
            page.seeText("aside", "24 mails in the outbox");
            page.click("aside summary");
            String own = page.see("aside details a[download]").getDomAttribute("href");
            assertThat(own).contains("students.csv");
            page.press("Week");
            page.see("iframe");
            AccessibilityTest.inBoth(page, "week", ".week aside");
            page.go(path);
            AccessibilityTest.inBoth(page, "page of the class");
            page.go(path + "/take");
            AccessibilityTest.inBoth(page, "what comes along");
            page.go(path + "/sheet?week=6");
            AccessibilityTest.inBoth(page, "sheet");
            page.go(path + "/thing?course=HYD%20210&id=log-6");
            AccessibilityTest.inBoth(page, "a thing");
            page.size(390, 844).go(path + "?term=true");
            AccessibilityTest.inBoth(page, "whole term on a phone");
            assertThat((Long) page.js("return document.documentElement.scrollWidth"))
                    .isLessThanOrEqualTo(390);
            page.go("/see/" + "x".repeat(43));
            page.seeText("main", "This link shows nothing");
            AccessibilityTest.sound(page, "a link that was withdrawn");
        }
    }

    /** From the Wall three actions, and every letter is seen before it goes; time stands still until it is let run. */
    @Test
    void allRemindersOfACourseAreSetInThreeActionsAndGoOutOnceAfterTheyWereSeen() throws Exception {
        try (Page page = wall()) {
            page.press("For students");
            page.press("Add a reminder");
            page.press("Add");
            page.seeText("aside", "What will go out");
            page.seeText("aside", "the day before at 09:00, all work with points that is due");
            page.click("[aria-labelledby='reminders-head'] tbody .acts button");
            page.into(".p-dialog iframe");
            page.seeText("body", "this is coming up:");
            page.driver.switchTo().defaultContent();
            page.keys(Keys.ESCAPE);
            page.gone(".p-dialog");
            AccessibilityTest.inBoth(page, "reminders", "[aria-labelledby='reminders-head']");
            page.type("#rem-until", "Mon 19 Oct");
            page.press("Run");
            page.seeText("aside", "went into the outbox");
            page.press("outbox");
            page.into(".p-dialog iframe");
            String stop = page.see("a[href*='/reminders/']").getDomAttribute("href");
            page.driver.switchTo().defaultContent();
            AccessibilityTest.inBoth(page, "outbox", ".p-dialog");
            page.go(stop.replaceFirst("^https?://[^/]+", ""));
            AccessibilityTest.inBoth(page, "no more reminders");
            page.press("No reminders any more");
            page.seeText("main", "No more reminders go to");
        }
    }

    @Test
    void theClassesOfADayStandOnTheClockAndAreGivenToWhoeverTakesThem() throws Exception {
        try (Page page = wall()) {
            page.press("Week");
            page.click("input[value='day']");
            within(page, "MAP 115 Maps by Hand, A");
            page.type("#run-first", "Fri 9 Oct");
            page.press("Copy a link to them");
            page.seeText("aside [role=status]", "see");
            page.press("For students");
            page.seeText("aside", "Classes of Fri 9 Oct, section A");
            String path = page.see("aside td a[href*='/see/']")
                    .getDomAttribute("href")
                    .replaceFirst("^https?://[^/]+", "");
            page.go(path);
            page.seeText("main", "HYD 210 Reading Rivers, A");
            assertThat(page.text("main")).doesNotContain("MAP 115", "Oakes");
            AccessibilityTest.inBoth(page, "run list");
        }
    }

    /** Whoever is told gets a letter where it is wanted. */
    @Test
    void whatMovedIsMailedWithTheTelling() throws Exception {
        try (Page page = wall()) {
            page.press("For students");
            page.press("Tell them…");
            page.see("#tell-why:focus");
            page.click(".p-dialog input[type=checkbox]");
            page.press("Tell 24 students");
            page.gone(".p-dialog");
            page.press("outbox");
            page.seeText(".p-dialog", "What has moved in HYD 210");
        }
    }

    /** Changes of the term that a page has open, and links to it, without pressing for them. */
    private record Teacher(Client client, String term) {

        static Teacher of(Page page) throws Exception {
            return new Teacher(new Client(App.demo().url(""), "tolvanen"), page.term());
        }

        void change(String change) throws Exception {
            long version = Json.read(client.get("/api/terms/" + term + "/dates"))
                    .path("version")
                    .asLong();
            var answer = client.send(
                    "/api/terms/" + term + "/changes",
                    "application/json",
                    "{\"version\":" + version + ",\"seen\":true,\"change\":" + change + "}");
            assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        }

        /** The address of a student's own pages. */
        String link(String student) throws Exception {
            var answer = client.send(
                    "/api/terms/" + term + "/links",
                    "application/json",
                    "{\"course\":\"HYD 210\",\"section\":\"A\",\"student\":\"" + student + "\"}");
            return Json.read(answer.body()).path("address").asText().replaceFirst("^https?://[^/]+", "");
        }
    }

    /** One page and one calendar over four courses: one press on the page, one in the calendar that opens. */
    @Test
    void aStudentOfFourCoursesSubscribesToAllInTwoActions() throws Exception {
        try (Page page = wall()) {
            Teacher teacher = Teacher.of(page);
            for (String course : List.of("MAP 115", "SOL 101")) {
                teacher.change("{\"kind\":\"put-roster\",\"course\":\"" + course + "\",\"section\":\"A\",\"students\":"
                        + "[{\"id\":\"4101\",\"name\":\"Wren Oakes\",\"mail\":\"wren.oakes@quillmarsh.example\"}]}");
                teacher.change("{\"kind\":\"tell\",\"course\":\"" + course + "\",\"section\":\"A\"}");
            }
            page.go(teacher.link("4101"));
            page.seeText("main", "SOL 101");
            assertThat(page.text("main")).contains("HYD 210", "HYD 210L", "MAP 115");
            assertThat(page.see(".btn.go").getDomAttribute("href"))
                    .startsWith("webcal://")
                    .contains("/dates.ics");
        }
    }

    /** An extension is on the page of the one student it is for, and on nobody else's. */
    @Test
    void anExtensionIsSeenByItsStudentAlone() throws Exception {
        try (Page page = wall()) {
            Teacher teacher = Teacher.of(page);
            teacher.change(
                    "{\"kind\":\"put-adjustment\",\"course\":\"HYD 210\",\"section\":\"A\",\"adjustment\":"
                            + "{\"item\":\"log-6\",\"student\":\"4101\",\"due\":{\"at\":\"2026-11-20T16:15\"},\"why\":\"ill\"}}");
            teacher.change("{\"kind\":\"tell\",\"course\":\"HYD 210\",\"section\":\"A\"}");
            String thing = "/thing?of=" + page.term() + "/HYD%20210/A&course=HYD%20210&id=log-6";
            page.go(teacher.link("4101") + thing);
            page.seeText("main", "due Fri 20 Nov, 16:15");
            assertThat(page.text("main")).doesNotContain("ill");
            page.go(teacher.link("4102") + thing);
            page.seeText("main", "due Thu 15 Oct");
            assertThat(page.text("main")).doesNotContain("16:15");
        }
    }

    /** Twelve links of a week stand on its sheet without anything typed for it. */
    @Test
    void aWeekWithTwelveLinksIsASheetWithoutAWordTyped() throws Exception {
        try (Page page = wall()) {
            String links = IntStream.rangeClosed(1, 12)
                    .mapToObj(n -> "{\"title\":\"Part " + n + "\",\"url\":\"https://films.example/" + n + "\"}")
                    .collect(Collectors.joining(","));
            Teacher.of(page)
                    .change("{\"kind\":\"put-session-links\",\"course\":\"HYD 210\",\"section\":\"A\","
                            + "\"session\":\"2026-10-07T10:00\",\"links\":[" + links + "]}");
            page.press("Week");
            page.into("iframe");
            page.seeText("body", "Part 12");
            assertThat(page.count("a[href^='https://films.example/']")).isEqualTo(12);
            page.driver.switchTo().defaultContent();
        }
    }
}
