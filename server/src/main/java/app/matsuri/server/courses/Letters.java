package app.matsuri.server.courses;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.plan.SectionRef;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Short names by which the sections of several courses are told apart: one to three letters. */
final class Letters {

    private Letters() {}

    /**
     * One for each, all different: the section's code where its course has several, else letters of the course's code; with a number
     * where those are taken.
     *
     * @param all in the order in which they are shown; the same section may stand there again, of another term
     */
    static List<String> of(List<SectionRef> all) {
        Map<String, Long> sections =
                all.stream().distinct().collect(Collectors.groupingBy(SectionRef::course, Collectors.counting()));
        Set<String> taken = new HashSet<>();
        return all.stream()
                .map(one -> candidates(one, Known.in(sections, one.course()) > 1)
                        .filter(taken::add)
                        .findFirst()
                        .orElseThrow())
                .toList();
    }

    private static Stream<String> candidates(SectionRef one, boolean several) {
        String course = letters(one.course());
        List<String> names = new ArrayList<>();
        if (several && one.section().codePointCount(0, one.section().length()) <= 2) {
            names.add(one.section());
        }
        for (int n = 1; n <= Math.min(3, course.length()); n++) {
            names.add(course.substring(0, n));
        }
        String first = course.isEmpty() ? "" : course.substring(0, 1);
        return Stream.of(names.stream(), IntStream.range(2, Integer.MAX_VALUE).mapToObj(n -> first + n))
                .flatMap(Function.identity());
    }

    private static String letters(String text) {
        return text.codePoints()
                .filter(Character::isLetter)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString()
                .toUpperCase(Locale.ROOT);
    }
}
