package app.matsuri.server.hours;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import app.matsuri.core.hours.Offering.Not;
import app.matsuri.server.Browser;
import app.matsuri.server.ServerTest;
import app.matsuri.server.account.Accounts;
import app.matsuri.server.link.Person;
import app.matsuri.server.mail.Letter;
import app.matsuri.server.mail.Letters;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;

/** Office hours over HTTP: booked and given back on pages of links, and what a change of the plan does to bookings. */
@ServerTest
class BookingHttpTest {

    /** Fri 9 October, the day after tomorrow in tests. */
    private static final String SLOT = "2026-10-09T13:15";

    private static final String HOURS =
            "{\"kind\":\"put-office-hours\",\"hours\":{\"id\":\"oh\",\"title\":\"Office hours\","
                    + "\"courses\":[\"HYD 210\"],\"windows\":[{\"rule\":\"FREQ=WEEKLY;BYDAY=FR\",\"start\":\"13:00\",\"minutes\":60,"
                    + "\"place\":\"Weir House 14\"}],\"booking\":{\"minutes\":15,\"aWeek\":2}}}";

    @Autowired
    MockMvc mvc;

    @Autowired
    Accounts accounts;

    @Autowired
    Bookings bookings;

    @Autowired
    Letters letters;

    private Browser browser;
    private long term;
    private int version;

    @BeforeEach
    void openTheDemoWithOfficeHours() throws Exception {
        browser = Browser.of(mvc, accounts);
        term = browser.open(Browser.demo().replaceFirst("\"officeHours\"", "\"otherHours\""));
        version = 1;
        change(HOURS);
    }

    private void change(String change) throws Exception {
        Browser.Answer made = browser.change(term, version, change);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        version = made.body().path("version").intValue();
    }

    private String link(String student) throws Exception {
        JsonNode made = browser.post(
                        "/api/terms/" + term + "/links",
                        "{\"course\":\"HYD 210\",\"section\":\"A\""
                                + (student == null ? "" : ",\"student\":\"" + student + "\"") + "}")
                .body();
        return URI.create(made.path("address").stringValue()).getPath();
    }

    private Document page(MockHttpServletRequestBuilder asked) throws Exception {
        MockHttpServletResponse response = mvc.perform(asked).andReturn().getResponse();
        String page = response.getContentAsString(StandardCharsets.UTF_8);
        assertThat(response.getStatus()).as(page).isEqualTo(200);
        assertThat(response.getHeaders("Set-Cookie")).isEmpty();
        assertThat(page).doesNotContain("<script");
        return Jsoup.parse(page);
    }

    private MockHttpServletRequestBuilder press(String link, String slot) {
        return post(URI.create(link + "/hours")).param("slot", term + "/oh " + slot);
    }

    private List<Letter> sent() {
        return letters.of(browser.person().workspaceId());
    }

    @Test
    void aStudentBooksInOnePressAndGivesItBackInOneMore() throws Exception {
        String link = link("4101");
        assertThat(page(get(URI.create(link + "?of=" + term + "%2FHYD%20210%2FA")))
                        .select("#hours a[href=hours]"))
                .as("offered on the page")
                .hasSize(1);
        Document before = page(get(URI.create(link + "/hours")));
        assertThat(before.select("button.slot")).as("two Fridays, four each").hasSizeGreaterThan(7);
        assertThat(before.select("input[name=mail]")).as("who reads is known").isEmpty();
        Document after = page(press(link, SLOT).param("about", "Field log 5"));
        assertThat(after.select("[role=status]").text()).startsWith("Booked: Fri 9 Oct, 13:15 to 13:30");
        assertThat(after.select("form.mine button")).hasSize(1);
        assertThat(after.select(".slot.mine b").text()).isEqualTo("13:15");
        Letter letter = sent().get(0);
        assertThat(letter.subject).isEqualTo("Booked: Office hours, Fri 9 Oct, 13:15 to 13:30, Weir House 14");
        assertThat(letter.body).contains("Field log 5", link + "/hours?booking=");
        assertThat(letter.calendar).contains("METHOD:REQUEST", "SEQUENCE:0", "T131500");
        assertThat(page(press(link, SLOT)).select("[role=status]").text()).isEqualTo("You hold this time already.");
        String uid = after.select("form.mine button").attr("value");
        Document back = page(post(URI.create(link + "/hours/back")).param("booking", uid));
        assertThat(back.select("[role=status]").text()).startsWith("Given back: Fri 9 Oct");
        assertThat(back.select(".slot.mine")).isEmpty();
        assertThat(sent().get(0).calendar).contains("METHOD:CANCEL", "SEQUENCE:1", uid);
        assertThat(bookings.of(term)).hasSize(1).noneMatch(Booking::held);
    }

    @Test
    void onTheClasssPageNameAndAddressAreAskedForAndNobodyIsSaidToBeOnTheRoster() throws Exception {
        String link = link(null);
        assertThat(page(press(link, SLOT)).select("[role=status]").text()).startsWith("Give your name and an address");
        Document typed = page(press(link, SLOT).param("name", "M. Sund").param("mail", "nonsense"));
        assertThat(typed.select("input[name=name]").attr("value")).as("kept").isEqualTo("M. Sund");
        Document booked = page(press(link, SLOT).param("name", "M. Sund").param("mail", "Somebody@Else.example"));
        assertThat(booked.select("[role=status]").text()).startsWith("Booked:");
        Booking booking = bookings.of(term).get(0);
        assertThat(booking.onRoster).isFalse();
        assertThat(booking.mail).isEqualTo("somebody@else.example");
        Document other = page(press(link("4101"), SLOT));
        assertThat(other.select("[role=status]").text())
                .startsWith("Somebody was faster: this time is taken. Still free: Fri 9 Oct, 13:00");
        assertThat(other.text()).doesNotContain("Sund");
        Document byLetter = page(get(URI.create(link + "/hours?booking=" + booking.uid)));
        assertThat(byLetter.select("form.mine button").attr("value")).isEqualTo(booking.uid);
        assertThat(page(get(URI.create(link + "/hours"))).select("form.mine")).isEmpty();
        page(post(URI.create(link("4101") + "/hours/back")).param("booking", booking.uid));
        assertThat(bookings.of(term).get(0).held()).as("not by another student").isTrue();
    }

    @Test
    void limitsHold() throws Exception {
        String link = link("4101");
        page(press(link, "2026-10-09T13:00"));
        page(press(link, "2026-10-09T13:30"));
        assertThat(page(press(link, "2026-10-09T13:45")).select("[role=status]").text())
                .startsWith("You hold as many bookings as a week may have.");
        assertThat(page(press(link, "2026-10-30T13:00")).select("[role=status]").text())
                .startsWith("This time cannot be booked yet.");
        assertThat(page(press(link, "2026-10-09T09:00")).select("[role=status]").text())
                .startsWith("This time is no longer offered.");
        assertThat(mvc.perform(press(link, "never")).andReturn().getResponse().getStatus())
                .isEqualTo(404);
        assertThat(bookings.of(term)).hasSize(2);
    }

    @Test
    void aDayOffWithdrawsAndAnUndoAsksInsteadOfPuttingBack() throws Exception {
        page(press(link("4101"), SLOT));
        change(
                "{\"kind\":\"put-closure\",\"closure\":{\"first\":\"2026-10-09\",\"last\":\"2026-10-09\",\"reason\":\"Fair\"}}"
                        .replace("put-closure", "add-closure"));
        Booking booking = bookings.of(term).get(0);
        assertThat(booking.state).isEqualTo(Booking.State.WITHDRAWN);
        assertThat(sent().get(0).subject).startsWith("Withdrawn: Office hours, Fri 9 Oct");
        assertThat(sent().get(0).body).contains("Fair");
        version = browser.post("/api/terms/" + term + "/undo", "{\"version\":" + version + "}")
                .body()
                .path("version")
                .intValue();
        assertThat(bookings.of(term).get(0).state).isEqualTo(Booking.State.ASKED);
        assertThat(sent().get(0).subject).startsWith("Offered again: Office hours, Fri 9 Oct");
        assertThat(page(press(link("4102"), SLOT)).select("[role=status]").text())
                .as("it is offered to everybody")
                .startsWith("Booked:");
    }

    @Test
    void aBookingFollowsItsSlot() throws Exception {
        page(press(link("4101"), SLOT));
        change("{\"kind\":\"change-slots\",\"hours\":\"oh\",\"slot\":\"" + SLOT
                + "\",\"as\":\"move\",\"to\":\"2026-10-12T09:00\"}");
        Booking booking = bookings.of(term).get(0);
        assertThat(booking.starts).isEqualTo(LocalDateTime.parse("2026-10-12T09:00"));
        assertThat(sent().get(0).subject).startsWith("Moved: Office hours, now Mon 12 Oct, 09:00");
        assertThat(sent().get(0).calendar).contains("METHOD:REQUEST", "SEQUENCE:1", booking.uid);
        change("{\"kind\":\"remove-office-hours\",\"id\":\"oh\"}");
        assertThat(bookings.of(term).get(0).state).isEqualTo(Booking.State.WITHDRAWN);
        assertThat(sent().get(0).calendar).contains("METHOD:CANCEL", "SEQUENCE:2", booking.uid);
    }

    @Test
    void feedsHaveOfficeHoursAndBookingsWhereTheyAreAskedFor() throws Exception {
        String link = link("4101");
        String feed = link + "/dates.ics?with=hours&with=bookings";
        assertThat(ics(feed)).contains("SUMMARY:Office hours").doesNotContain("T131500");
        page(press(link, SLOT));
        Booking booking = bookings.of(term).get(0);
        assertThat(ics(feed)).contains("UID:" + booking.uid + "@matsuri", ":20261009T131500");
        assertThat(ics(link("4102") + "/dates.ics?with=bookings")).doesNotContain(booking.uid);
        assertThat(ics(link + "/dates.ics")).doesNotContain("SUMMARY:Office hours");
        page(post(URI.create(link + "/hours/back")).param("booking", booking.uid));
        assertThat(ics(feed)).doesNotContain(booking.uid);
    }

    private String ics(String path) throws Exception {
        MockHttpServletResponse response =
                mvc.perform(get(URI.create(path))).andReturn().getResponse();
        assertThat(response.getStatus()).isEqualTo(200);
        return response.getContentAsString(StandardCharsets.UTF_8);
    }

    /** Of many who press at once one has the last place, and each of the others is told so with what is free. */
    @Test
    void theLastPlaceGoesToExactlyOne() throws Exception {
        int people = 40;
        ExecutorService all = Executors.newFixedThreadPool(people);
        CountDownLatch start = new CountDownLatch(1);
        List<Future<Bookings.Answer>> answers = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            Person person = new Person("p" + i, null);
            answers.add(all.submit(() -> {
                start.await();
                return bookings.book(
                        term,
                        new Bookings.Wish("oh", LocalDateTime.parse(SLOT), 1, "N.", person, true, "", "", "en", false));
            }));
        }
        start.countDown();
        int booked = 0;
        for (Future<Bookings.Answer> answer : answers) {
            Bookings.Answer came = answer.get();
            booked += came.booking() == null ? 0 : 1;
            if (came.booking() == null) {
                assertThat(came.not()).isEqualTo(Not.TAKEN);
                assertThat(came.next()).hasSize(3);
            }
        }
        all.shutdown();
        assertThat(booked).isEqualTo(1);
        assertThat(bookings.of(term)).hasSize(1);
    }
}
