package app.matsuri.server.hours;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.TeachingCalendar;
import app.matsuri.core.findings.Findings;
import app.matsuri.core.hours.Slot;
import app.matsuri.core.hours.Slots;
import app.matsuri.core.plan.BookingRules;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.schedule.Schedule;
import app.matsuri.core.session.Sessions;
import app.matsuri.exchange.plan.HoursWriter;
import app.matsuri.exchange.plan.Words;
import app.matsuri.exchange.words.HoursSaid;
import app.matsuri.server.history.History;
import app.matsuri.server.hours.HoursView.BookingLine;
import app.matsuri.server.hours.HoursView.HoursBlock;
import app.matsuri.server.hours.HoursView.HoursDay;
import app.matsuri.server.hours.HoursView.HoursLine;
import app.matsuri.server.hours.HoursView.HoursSlot;
import app.matsuri.server.hours.HoursView.HoursStudent;
import app.matsuri.server.hours.HoursView.HoursWeek;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lays office hours out week by week. */
final class HoursBuilder {

    private final Decisions decisions;
    private final List<Booking> bookings;
    private final LocalDate today;
    private final TeachingCalendar calendar;
    private final Map<String, Slots> slots = new LinkedHashMap<>();
    /** By office hours and slot, those that are held. */
    private final Map<String, List<Booking>> held;

    HoursBuilder(Decisions decisions, List<Booking> bookings, LocalDate today) {
        this.decisions = decisions;
        this.bookings = bookings;
        this.today = today;
        calendar = TeachingCalendar.of(decisions.term());
        decisions.officeHours().forEach(h -> slots.put(h.id(), Slots.of(calendar, h)));
        held = bookings.stream().filter(Booking::held).collect(Collectors.groupingBy(b -> b.hours + " " + b.slot));
    }

    HoursView view(long termId, long version, Schedule schedule, History.Ends ends) {
        TreeMap<LocalDate, List<HoursBlock>> blocks = new TreeMap<>();
        slots.values()
                .forEach(s -> blocks(s)
                        .forEach(b -> blocks.computeIfAbsent(b.start().toLocalDate(), d -> new ArrayList<>())
                                .add(b)));
        blocks.values().forEach(b -> b.sort(Comparator.comparing(HoursBlock::start)));
        TreeSet<DayOfWeek> weekdays = new TreeSet<>();
        blocks.keySet().forEach(d -> weekdays.add(d.getDayOfWeek()));
        List<HoursWeek> weeks = new ArrayList<>();
        for (int week = 1; week <= calendar.weeks(); week++) {
            LocalDate first = calendar.week(week).orElseThrow();
            List<HoursDay> days = first.datesUntil(first.plusDays(7))
                    .filter(d -> weekdays.contains(d.getDayOfWeek()))
                    .map(d -> new HoursDay(d, off(d), blocks.getOrDefault(d, List.of())))
                    .toList();
            weeks.add(new HoursWeek(week, first, days));
        }
        return new HoursView(
                termId,
                decisions.term().name(),
                version,
                today,
                decisions.courses().stream().map(c -> c.code()).toList(),
                decisions.officeHours().stream().map(this::line).toList(),
                weekdays.stream()
                        .sorted(Comparator.comparing(d -> Math.floorMod(
                                d.getValue() - decisions.term().weekStart().getValue(), 7)))
                        .map(Words::weekday)
                        .toList(),
                weeks,
                bookings.stream()
                        .filter(b -> !b.starts.toLocalDate().isBefore(today))
                        .map(this::booking)
                        .toList(),
                students(),
                Findings.of(schedule, today).size(),
                ends.undo().map(History.Line::sentence).orElse(null),
                ends.redo().map(History.Line::sentence).orElse(null));
    }

    private String off(LocalDate day) {
        return decisions.term().extraDays().contains(day)
                ? ""
                : decisions.term().closures().stream()
                        .filter(c -> c.noClass() && c.wholeDay() && c.only() == null && c.covers(day))
                        .map(Closure::reason)
                        .findFirst()
                        .orElse("");
    }

    private HoursLine line(OfficeHours hours) {
        BookingRules rules = hours.booking();
        Slots all = slots.get(hours.id());
        int places = rules == null ? 0 : rules.places();
        List<Slot> ahead = all == null
                ? List.of()
                : all.all().stream()
                        .filter(s -> !s.blocked()
                                && !s.date().isBefore(today)
                                && s.date().isBefore(today.plusDays(7)))
                        .toList();
        int taken = ahead.stream().mapToInt(s -> taken(hours.id(), s.name())).sum();
        return new HoursLine(
                hours.id(),
                hours.title(),
                hours.courses(),
                HoursSaid.lines(hours),
                HoursSaid.how(hours),
                HoursSaid.line(hours),
                rules != null,
                rules == null ? 1 : rules.groupFrom(),
                rules == null ? 1 : rules.groupTo(),
                ahead.size() * places,
                taken,
                HoursWriter.hours(hours));
    }

    private int taken(String hours, LocalDateTime slot) {
        return held.getOrDefault(hours + " " + slot, List.of()).stream()
                .mapToInt(b -> b.people)
                .sum();
    }

    /** Slots one after the other at one place, those that were taken away among them where their windows had them. */
    private List<HoursBlock> blocks(Slots all) {
        BookingRules rules = all.of().booking();
        int pause = rules == null ? 0 : rules.pause();
        List<Slot> of = new ArrayList<>(all.all());
        TreeSet<LocalDateTime> gone = new TreeSet<>(all.withdrawn());
        all.lost().stream().map(Sessions.Lost::name).forEach(gone::add);
        int minutes = rules == null ? 60 : rules.minutes();
        gone.forEach(
                name -> of.add(new Slot(all.of().id(), name, name, name.plusMinutes(minutes), "", "", false, false)));
        of.sort(Comparator.comparing(Slot::start));
        List<HoursBlock> blocks = new ArrayList<>();
        List<Slot> run = new ArrayList<>();
        for (Slot slot : of) {
            Slot last = run.isEmpty() ? null : run.get(run.size() - 1);
            if (last != null && last.end().plusMinutes(pause).isBefore(slot.start())) {
                blocks.add(block(all, run, gone));
                run = new ArrayList<>();
            }
            run.add(slot);
        }
        if (!run.isEmpty()) {
            blocks.add(block(all, run, gone));
        }
        return blocks;
    }

    private HoursBlock block(Slots all, List<Slot> run, TreeSet<LocalDateTime> gone) {
        BookingRules rules = all.of().booking();
        int places = rules == null ? 0 : rules.places();
        List<HoursSlot> in = run.stream().map(s -> slot(all, s, places, gone)).toList();
        int free = in.stream()
                .filter(s -> s.state().equals("free") || s.state().equals("booked"))
                .mapToInt(s -> s.places() - s.taken())
                .sum();
        Slot first = run.get(0);
        return new HoursBlock(
                all.of().id(),
                all.of().title(),
                first.start(),
                run.get(run.size() - 1).end(),
                said(run, Slot::place),
                said(run, Slot::link),
                free,
                in.stream()
                        .filter(s -> !s.state().equals("withdrawn"))
                        .mapToInt(HoursSlot::places)
                        .sum(),
                in.stream().allMatch(s -> s.state().equals("withdrawn")),
                in);
    }

    /** What the first says that says anything. */
    private static String said(List<Slot> run, Function<Slot, String> what) {
        return run.stream().map(what).filter(w -> !w.isEmpty()).findFirst().orElse("");
    }

    private HoursSlot slot(Slots all, Slot slot, int places, TreeSet<LocalDateTime> gone) {
        boolean away = gone.contains(slot.name()) && all.slot(slot.name()).isEmpty();
        int taken = taken(all.of().id(), slot.name());
        String state =
                away ? "withdrawn" : slot.blocked() ? "blocked" : places == 0 ? "open" : taken > 0 ? "booked" : "free";
        Stream<Booking> who = away
                ? bookings.stream()
                        .filter(b -> b.state == Booking.State.WITHDRAWN
                                && b.hours.equals(all.of().id())
                                && b.slot.equals(slot.name()))
                : held.getOrDefault(all.of().id() + " " + slot.name(), List.of()).stream();
        return new HoursSlot(
                slot.name(),
                slot.start(),
                slot.end(),
                state,
                taken,
                places,
                who.map(b -> initials(b.personName)).toList(),
                slot.byHand());
    }

    /** "MS" for M. Sund: of the first and the last word. */
    static String initials(String name) {
        List<String> words = Stream.of(name.strip().split("[\\s.\\-]+"))
                .filter(w -> !w.isEmpty())
                .toList();
        return words.isEmpty()
                ? "?"
                : Stream.of(words.get(0), words.size() > 1 ? words.get(words.size() - 1) : "")
                        .filter(w -> !w.isEmpty())
                        .map(w -> w.substring(0, w.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT))
                        .collect(Collectors.joining());
    }

    private BookingLine booking(Booking booking) {
        return new BookingLine(
                booking.uid,
                booking.hours,
                decisions.officeHours(booking.hours).map(OfficeHours::title).orElse(booking.hours),
                booking.slot,
                booking.starts,
                booking.ends,
                booking.place,
                booking.personName,
                booking.mail == null ? "" : booking.mail,
                booking.onRoster,
                booking.people,
                booking.about,
                booking.state.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                booking.why);
    }

    private List<HoursStudent> students() {
        return decisions.courses().stream()
                .flatMap(c -> c.sections().stream()
                        .flatMap(s -> s.students().stream()
                                .map(one -> new HoursStudent(c.code(), s.code(), one.id(), one.name()))))
                .toList();
    }
}
