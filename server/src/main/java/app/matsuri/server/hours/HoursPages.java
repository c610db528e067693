package app.matsuri.server.hours;

import app.matsuri.core.hours.Offering;
import app.matsuri.core.hours.Offering.Not;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Student;
import app.matsuri.core.shown.ShownSession;
import app.matsuri.server.link.Person;
import app.matsuri.server.page.PageWords;
import app.matsuri.server.page.Seeing;
import app.matsuri.server.page.Seeing.Seen;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Says in words which office hours a reader may come to, and what of them is free. */
@Component
class HoursPages {

    /** How far ahead the page looks, in days, where hours are open without booking. */
    private static final int AHEAD = 14;

    private final Bookings bookings;
    private final Seeing seeing;

    HoursPages(Bookings bookings, Seeing seeing) {
        this.bookings = bookings;
        this.seeing = seeing;
    }

    /** Office hours of a term that a reader may come to, by what names them on the page. */
    record Offered(Stored stored, OfficeHours hours) {

        String key() {
            return stored.termId() + "/" + hours.id();
        }
    }

    /** Those that the sections of a link have, each once. */
    static List<Offered> offered(List<Seen> seen) {
        Map<String, Offered> all = new LinkedHashMap<>();
        for (Seen one : seen) {
            Stored stored = one.sees().stored();
            stored.decisions().officeHours().stream()
                    .filter(h -> h.isFor(one.sees().section().course()))
                    .map(h -> new Offered(stored, h))
                    .forEach(o -> all.putIfAbsent(o.key(), o));
        }
        return List.copyOf(all.values());
    }

    /**
     * What was typed and what came of it.
     *
     * @param named by what names it, a booking that the reader opened by a letter; null for none
     */
    record Said(
            String words,
            boolean good,
            String name,
            String mail,
            String about,
            @Nullable String named) {

        static final Said NOTHING = new Said("", true, "", "", "", null);

        Said of(String words, boolean good) {
            return new Said(words, good, name, mail, about, named);
        }
    }

    HoursPage page(List<Seen> seen, String post, Said said) {
        Seen first = seen.get(0);
        PageWords words = seeing.words(first);
        Student student = first.sees().student();
        Person person = student == null ? null : HoursPageController.person(student);
        List<HoursPage.Hours> hours = new ArrayList<>();
        List<HoursPage.Mine> mine = new ArrayList<>();
        for (Offered one : offered(seen)) {
            Offering offering = bookings.offering(one.stored(), one.hours(), person);
            hours.add(hours(one, offering, seen, words));
            mine.addAll(mine(one, offering, person, said.named(), words));
        }
        return new HoursPage(
                words.language(),
                words.say("officehours"),
                first.base(),
                post,
                said.words(),
                said.good(),
                person != null,
                said.name(),
                said.mail(),
                said.about(),
                mine,
                hours,
                words.say("zone", words.zone(first.zone())));
    }

    private List<HoursPage.Mine> mine(
            Offered one, Offering offering, @Nullable Person person, @Nullable String named, PageWords words) {
        List<HoursPage.Mine> mine = new ArrayList<>();
        List<Booking> held = person != null
                ? bookings.of(one.stored(), person)
                : named == null
                        ? List.of()
                        : bookings.find(one.stored().termId(), named).filter(Booking::held).stream()
                                .toList();
        for (Booking booking : held) {
            if (booking.hours.equals(one.hours().id())) {
                boolean gives = offering.slots()
                        .slot(booking.slot)
                        .filter(offering::givesBack)
                        .isPresent();
                mine.add(new HoursPage.Mine(
                        one.hours().title(),
                        when(words, booking.starts, booking.ends),
                        booking.place,
                        booking.link,
                        booking.uid,
                        gives));
            }
        }
        return mine;
    }

    private HoursPage.Hours hours(Offered one, Offering offering, List<Seen> seen, PageWords words) {
        BookingRules rules = one.hours().booking();
        LocalDateTime now = offering.now();
        LocalDate last = now.toLocalDate().plusDays(rules == null ? AHEAD : Math.max(AHEAD / 2, rules.fromDays()));
        TreeMap<LocalDate, List<Slot>> byDay = new TreeMap<>();
        for (Slot slot : offering.slots().all()) {
            if (slot.end().isAfter(now) && !slot.date().isAfter(last) && !slot.blocked()) {
                byDay.computeIfAbsent(slot.date(), d -> new ArrayList<>()).add(slot);
            }
        }
        Map<LocalDateTime, List<String>> names = rules == null || !rules.namesSeen()
                ? Map.of()
                : bookings.of(one.stored().termId()).stream()
                        .filter(b -> b.held() && b.hours.equals(one.hours().id()))
                        .collect(Collectors.groupingBy(
                                b -> b.slot, Collectors.mapping(b -> b.personName, Collectors.toList())));
        List<HoursPage.Day> days = new ArrayList<>();
        byDay.forEach((day, slots) -> {
            Slot first = slots.get(0);
            Slot end = slots.get(slots.size() - 1);
            days.add(new HoursPage.Day(
                    words.longDay(day),
                    day.equals(now.toLocalDate()),
                    words.say("span", words.time(first.start()), words.end(first.start(), end.end())),
                    first.place(),
                    first.link(),
                    rules == null
                            ? List.of()
                            : slots.stream()
                                    .map(s -> time(
                                            one,
                                            s,
                                            offering,
                                            rules,
                                            seen,
                                            names.getOrDefault(s.name(), List.of()),
                                            words))
                                    .toList()));
        });
        String how = rules == null
                ? words.say("hours.open")
                : words.say("hours.each", rules.minutes())
                        + (rules.groupTo() == 1
                                ? ""
                                : ", " + words.say("hours.group", rules.groupFrom(), rules.groupTo()));
        return new HoursPage.Hours(
                one.key(),
                one.hours().title(),
                how,
                one.hours().howToCome(),
                rules != null,
                rules == null ? 1 : rules.groupFrom(),
                rules == null ? 1 : rules.groupTo(),
                days);
    }

    private HoursPage.Time time(
            Offered one,
            Slot slot,
            Offering offering,
            BookingRules rules,
            List<Seen> seen,
            List<String> names,
            PageWords words) {
        Not not = offering.why(slot.name(), rules.groupFrom()).orElse(null);
        int free = offering.free(slot);
        String state = not == null
                ? "free"
                : switch (not) {
                    case HELD -> "mine";
                    case TAKEN -> "taken";
                    case NOT_YET -> "later";
                    case TOO_LATE -> "over";
                    // a limit of the person is said when the slot is pressed
                    default -> "free";
                };
        String said = !state.equals("free")
                ? words.say("hours." + state)
                : rules.places() == 1
                        ? words.say("hours.free")
                        : free == 1 ? words.say("hours.place.one") : words.say("hours.places", free);
        boolean clash = seen.get(0).sees().student() != null && seen.stream().anyMatch(s -> inClass(s, slot));
        return new HoursPage.Time(
                one.key() + " " + slot.name(),
                words.time(slot.start()),
                state,
                names.isEmpty() ? said : said + ", " + String.join(", ", names),
                clash ? words.say("hours.clash") : "");
    }

    private static boolean inClass(Seen seen, Slot slot) {
        return seen.shown().weeks().stream()
                .flatMap(w -> w.days().stream())
                .filter(d -> d.date().equals(slot.date()))
                .flatMap(d -> d.sessions().stream())
                .filter(ShownSession::timed)
                .anyMatch(s -> {
                    LocalDateTime end = s.end();
                    return end != null
                            && s.start().isBefore(slot.end())
                            && slot.start().isBefore(end);
                });
    }

    static String when(PageWords words, LocalDateTime from, LocalDateTime to) {
        return words.say(
                "moment", words.day(from.toLocalDate()), words.say("span", words.time(from), words.end(from, to)));
    }

    /** What came of a wish. */
    Said said(Said typed, Bookings.Answer answer, PageWords words) {
        Booking booking = answer.booking();
        if (booking != null) {
            String when = when(words, booking.starts, booking.ends);
            return new Said(
                    words.say(booking.mail == null ? "hours.booked.silent" : "hours.booked", when),
                    true,
                    typed.name(),
                    typed.mail(),
                    "",
                    booking.uid);
        }
        Not not = answer.not() == null ? Not.GONE : answer.not();
        String why =
                words.say("hours.not." + not.name().toLowerCase(Locale.ROOT).replace('_', '-'));
        String next = answer.next().isEmpty() || not == Not.WEEK_FULL || not == Not.TERM_FULL || not == Not.HELD
                ? ""
                : " "
                        + words.say(
                                "hours.next",
                                String.join(
                                        "; ",
                                        answer.next().stream()
                                                .map(s -> words.moment(s.start()))
                                                .toList()));
        return typed.of(why + next, false);
    }
}
