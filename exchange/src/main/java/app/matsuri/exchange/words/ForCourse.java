package app.matsuri.exchange.words;

import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Section;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The course that a typed line is for, where it says so: "quiz 3, 17:00, for MAP 115". The words stand at the end of the line or of
 * a part of it, in English, German, French or Spanish.
 *
 * @param course its code
 * @param section code of the section that is named; null where none is
 * @param words as they were typed
 * @param rest the line without them
 */
public record ForCourse(String course, @Nullable String section, String words, String rest) {

    private static final String FOR = "(?:for|für|pour|para)";

    /** Reads a line; empty where it names no course of the term. */
    public static Optional<ForCourse> of(String line, Decisions decisions) {
        return decisions.courses().stream()
                .sorted(Comparator.comparing((Course c) -> c.code().length()).reversed())
                .flatMap(course -> of(line, course).stream())
                .findFirst();
    }

    private static Optional<ForCourse> of(String line, Course course) {
        List<String> sections = course.sections().stream().map(Section::code).toList();
        String named = sections.stream()
                .sorted(Comparator.comparing(String::length).reversed())
                .map(ForCourse::loose)
                .collect(Collectors.joining("|"));
        Matcher found = Pattern.compile(
                        "(?<![^\\s,;])(" + FOR + "\\s+" + loose(course.code()) + "(?:\\s+("
                                + (named.isEmpty() ? "(?!)" : named) + "))?)\\s*(?=[,;]|$)",
                        Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE)
                .matcher(line);
        if (!found.find()) {
            return Optional.empty();
        }
        String before = line.substring(0, found.start()).strip().replaceFirst("[,;]\\s*$", "");
        String after = line.substring(found.end()).strip();
        String rest = before.isEmpty() ? after.replaceFirst("^[,;]\\s*", "") : before + after;
        String section = found.group(2);
        return Optional.of(new ForCourse(
                course.code(),
                sections.stream()
                        .filter(s -> s.equalsIgnoreCase(section))
                        .findFirst()
                        .orElse(null),
                found.group(1),
                rest));
    }

    /** A code as people type it: with other spaces, or none. */
    private static String loose(String code) {
        return Arrays.stream(code.strip().split("\\s+")).map(Pattern::quote).collect(Collectors.joining("\\s*"));
    }
}
