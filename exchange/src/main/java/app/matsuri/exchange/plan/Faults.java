package app.matsuri.exchange.plan;

import app.matsuri.exchange.plan.Fault.Severity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Collects the faults of one reading. */
public final class Faults {

    private final List<Fault> faults = new ArrayList<>();

    /** The file has no meaning. */
    public void fatal(String pointer, String message) {
        faults.add(new Fault(Severity.FATAL, pointer, 0, message));
    }

    /** The rest has a meaning without it. */
    public void kept(String pointer, String message) {
        faults.add(new Fault(Severity.KEPT, pointer, 0, message));
    }

    public void remark(String pointer, String message) {
        faults.add(new Fault(Severity.REMARK, pointer, 0, message));
    }

    public boolean fatal() {
        return faults.stream().anyMatch(f -> f.severity() == Severity.FATAL);
    }

    public List<Fault> all() {
        return List.copyOf(faults);
    }

    /** All of them with the line on which each place stands, or the place that holds it. */
    public List<Fault> withLines(Map<String, Integer> lines) {
        return faults.stream()
                .map(f -> new Fault(f.severity(), f.pointer(), line(lines, f.pointer()), f.message()))
                .toList();
    }

    private static int line(Map<String, Integer> lines, String pointer) {
        String place = pointer;
        while (!lines.containsKey(place) && !place.isEmpty()) {
            place = place.substring(0, place.lastIndexOf('/'));
        }
        return lines.getOrDefault(place, 0);
    }
}
