package app.matsuri.server.rollover;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.Known;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.rollover.RollBy;
import app.matsuri.core.rollover.RolledOver;
import app.matsuri.core.rollover.Rollover;
import app.matsuri.exchange.command.RollCommand;
import app.matsuri.exchange.holiday.PublicHolidays;
import app.matsuri.server.access.Access;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.change.ChangeService;
import app.matsuri.server.http.ChangeGiven;
import app.matsuri.server.http.Problem;
import app.matsuri.server.storage.Stored;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Courses rolled over from a term or a file to a term that is there or a new one. */
@Service
class Rollovers {

    private final Access access;
    private final ChangeService changes;
    private final RolloverSources sources;

    Rollovers(Access access, ChangeService changes, RolloverSources sources) {
        this.sources = sources;
        this.access = access;
        this.changes = changes;
    }

    /** Both ends of a rollover. */
    record Ends(
            String name,
            Decisions from,
            Decisions to,
            @Nullable Stored stored) {}

    Ends ends(SignedIn by, RolloverForm form, boolean change) {
        if (form.from() == null == (form.source() == null) || form.to() == null == (form.term() == null)) {
            throw problem("rollover-ends", "Choose where from and where to", "Give one term or file, and one term.");
        }
        Stored stored = form.to() == null ? null : change ? access.change(by, form.to()) : access.look(by, form.to());
        if (stored != null && stored.whatIf() != null) {
            throw problem(
                    "rollover-what-if",
                    "Not within a what-if",
                    "A course is rolled over into the plan itself. Leave the what-if first. Nothing was stored.");
        }
        if (new HashSet<>(form.courses()).size() < form.courses().size()) {
            throw problem(
                    "rollover-twice",
                    "A course is named twice",
                    "Each course is rolled over once. Name every one once. Nothing was stored.");
        }
        String name;
        Decisions from;
        if (form.source() != null) {
            RolloverSources.Source source = sources.find(by, form.source())
                    .orElseThrow(() -> new Problem(
                            HttpStatus.NOT_FOUND,
                            "no-such-source",
                            "The file is no longer at hand",
                            "Choose the file once more. Nothing was stored."));
            name = source.name();
            from = source.decisions();
        } else {
            from = access.stands(by, Known.there(form.from(), "the term that it comes from"))
                    .decisions();
            name = from.term().name();
        }
        return new Ends(name, from, stored == null ? made(form.term(), from.term()) : stored.decisions(), stored);
    }

    /** The new term: weekdays, zone and weeks as in the old one, public holidays off. */
    private static Decisions made(RolloverForm.NewTerm term, Term old) {
        if (term.last().isBefore(term.first())
                || term.first().plusDays(Term.MOST_DAYS).isBefore(term.last())) {
            throw problem(
                    "term-bounds",
                    "These are no bounds of a term",
                    "The last day comes after the first, at most five years on. Nothing was stored.");
        }
        List<Closure> closures = List.of();
        if (!term.country().isEmpty()) {
            try {
                Set<LocalDate> without = new HashSet<>(term.without());
                closures =
                        PublicHolidays.of(term.country(), term.region(), term.first(), term.last(), Locale.ENGLISH)
                                .stream()
                                .filter(h -> old.weekdays().contains(h.day().getDayOfWeek()))
                                .filter(h -> !without.contains(h.day()))
                                .map(h -> Closure.of(h.day(), h.day(), h.name(), "public-holiday"))
                                .toList();
            } catch (IllegalArgumentException e) {
                throw problem("no-such-place", "No such place", e.getMessage() + ". Choose another from the list.");
            }
        }
        Term plain = Term.of(term.name(), term.first(), term.last(), old.zone());
        return Decisions.of(
                new Term(
                        plain.name(),
                        plain.first(),
                        plain.last(),
                        plain.zone(),
                        old.weekdays(),
                        old.weekStart(),
                        null,
                        closures,
                        plain.extraDays(),
                        plain.runsAs(),
                        null,
                        plain.extra()),
                List.of());
    }

    static RollBy by(String word) {
        try {
            return RollCommand.by(word);
        } catch (IllegalArgumentException e) {
            throw problem("rollover-way", "No such way", e.getMessage());
        }
    }

    static Rollover rollover(RolloverForm form, Ends ends) {
        Map<Rollover.Taken, LocalDateTime> taken = new HashMap<>();
        form.taken().forEach(t -> taken.put(new Rollover.Taken(t.course(), t.what(), t.id()), t.at()));
        return new Rollover(
                ends.from(), form.courses(), Set.copyOf(form.units()), by(form.by()), taken, form.fit(), form.again());
    }

    /** What was made. */
    record Done(long termId, String sentence) {}

    /** Rolls over, and makes the new term with it where there is none: one step, one undo. */
    @Transactional
    public Done roll(SignedIn by, RolloverForm form, long version) {
        Ends ends = ends(by, form, true);
        RolledOver over;
        try {
            over = rollover(form, ends).into(ends.to());
        } catch (Refused e) {
            throw problem("cannot-be-done", "It cannot be done", e.getMessage());
        }
        Stored into = ends.stored() == null ? changes.begin(by, ends.to()) : ends.stored();
        long on = ends.stored() == null ? into.version() : version;
        ChangeService.Made made = changes.make(
                by, into.termId(), on, new ChangeGiven(over.change(), false), new ChangeService.Telling(false, false));
        return new Done(into.termId(), made.sentence());
    }

    private static Problem problem(String type, String title, @Nullable String detail) {
        return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, type, title, detail);
    }
}
