package app.matsuri.core.schedule;

import app.matsuri.core.flow.Placement;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.session.Session;
import app.matsuri.core.session.Sessions;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** The classes of a section that a rhythm is tied to. */
public final class Rhythms {

    private Rhythms() {}

    /** How many classes the rhythm has in the section. */
    public static int count(Rhythm rhythm, SectionSchedule in) {
        return classes(rhythm, in.sessions(), in.placements()).size();
    }

    /** The days of the section's classes for the rhythm, in order. */
    public static List<LocalDate> days(Rhythm rhythm, SectionSchedule in) {
        return classes(rhythm, in.sessions(), in.placements()).stream()
                .map(i -> in.sessions().get(i).date())
                .toList();
    }

    /** Indices of its classes, in order: those held empty, paused or before the first plan day are none. */
    static List<Integer> classes(Rhythm rhythm, Sessions sessions, Collection<Placement> placements) {
        Set<Integer> fitting = new HashSet<>();
        for (Placement placement : placements) {
            if (placement.placed() && rhythm.fits(placement.lesson().title())) {
                fitting.add(placement.first());
            }
        }
        List<Integer> classes = new ArrayList<>();
        int seen = 0;
        for (int i = 0; i < sessions.size(); i++) {
            Session session = sessions.get(i);
            boolean counts = !session.held()
                    && !session.paused()
                    && !session.early()
                    && (rhythm.weekdays().isEmpty()
                            || rhythm.weekdays().contains(session.date().getDayOfWeek()))
                    && (rhythm.words().isBlank() || fitting.contains(i));
            if (counts) {
                seen++;
                if (seen >= rhythm.begin() && (seen - rhythm.begin()) % rhythm.every() == 0) {
                    classes.add(i);
                }
            }
        }
        return classes;
    }
}
