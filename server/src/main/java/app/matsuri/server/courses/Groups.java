package app.matsuri.server.courses;

import app.matsuri.core.plan.Student;
import app.matsuri.server.courses.CoursesView.StudentGroup;
import app.matsuri.server.link.Person;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Which students have which courses together: the same person by roster number, else by address. */
final class Groups {

    /** How many groups are told of at most. */
    private static final int MOST = 12;

    private final Map<String, Found> byNumber = new HashMap<>();
    private final Map<String, Found> byMail = new HashMap<>();
    private final List<Found> all = new ArrayList<>();

    /** Somebody, and the courses found so far. */
    private record Found(Person person, Set<String> keys) {}

    /** Takes in the roster of a section. */
    void add(String key, List<Student> roster) {
        for (Student student : roster) {
            Person person = Person.of(student);
            if (person.known()) {
                of(person).keys().add(key);
            }
        }
    }

    private Found of(Person person) {
        Found found = Stream.of(in(byNumber, person.number()), in(byMail, person.mail()))
                .flatMap(Optional::stream)
                .filter(one -> one.person().same(person))
                .findFirst()
                .orElseGet(() -> {
                    Found fresh = new Found(person, new TreeSet<>());
                    all.add(fresh);
                    return fresh;
                });
        if (person.number() != null) {
            byNumber.putIfAbsent(person.number(), found);
        }
        if (person.mail() != null) {
            byMail.putIfAbsent(person.mail(), found);
        }
        return found;
    }

    private static Optional<Found> in(Map<String, Found> known, @Nullable String name) {
        return name == null ? Optional.empty() : Optional.ofNullable(known.get(name));
    }

    /** Those who have two courses or more, the most first. */
    List<StudentGroup> groups() {
        Map<Set<String>, Long> counted = all.stream()
                .map(Found::keys)
                .filter(keys -> keys.size() > 1)
                .collect(Collectors.groupingBy(keys -> keys, Collectors.counting()));
        return counted.entrySet().stream()
                .map(e -> new StudentGroup(List.copyOf(e.getKey()), e.getValue().intValue()))
                .sorted(Comparator.comparing(StudentGroup::students)
                        .reversed()
                        .thenComparing(g -> g.keys().toString()))
                .limit(MOST)
                .toList();
    }
}
