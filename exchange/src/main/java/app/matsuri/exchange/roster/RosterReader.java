package app.matsuri.exchange.roster;

import app.matsuri.core.calendar.TimeLimit;
import app.matsuri.core.plan.Student;
import app.matsuri.exchange.file.Given;
import app.matsuri.exchange.file.TableFile;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * Reads a list of students: names a line each, "Oakes, Wren" or "Wren Oakes &lt;mail&gt;", a table with a header, or the
 * users of a OneRoster CSV (1EdTech OneRoster 1.1, section 3: sourcedId, status, role, givenName, familyName, email).
 */
public final class RosterReader {

    /** The most students of one list. */
    public static final int MOST = 2_000;

    private static final Pattern MAIL = Pattern.compile("(?<![\\w.+%'-])[\\w.+%'-]++@[\\w-]++(?:\\.[\\w-]++)++");
    private static final Map<String, Set<String>> COLUMNS = Map.of(
            "id", Set.of("id", "student id", "sourcedid", "number", "student number", "matrikelnummer", "sis id", "no"),
            "given",
                    Set.of("given name", "givenname", "first name", "firstname", "first", "given", "vorname", "prénom"),
            "family",
                    Set.of(
                            "family name",
                            "familyname",
                            "last name",
                            "lastname",
                            "surname",
                            "last",
                            "family",
                            "nachname",
                            "nom"),
            "name", Set.of("name", "student", "student name", "full name", "display name"),
            "mail", Set.of("mail", "email", "e-mail", "email address", "mail address"),
            "role", Set.of("role", "roles"),
            "status", Set.of("status"));

    private RosterReader() {}

    /**
     * One line and what was understood.
     *
     * @param state "student", "double", "passed", "heading" or "not-understood"
     * @param student null for the last three
     */
    public record Line(
            int number,
            String text,
            String state,
            String said,
            @Nullable Student student) {}

    /** Reads names or a table as pasted. */
    public static List<Line> read(String text) {
        return read(new Given("the pasted list", text.getBytes(StandardCharsets.UTF_8)));
    }

    /**
     * Reads a list as given.
     *
     * @throws app.matsuri.exchange.file.Unreadable when it is none
     */
    public static List<Line> read(Given file) {
        boolean table = file.kind() == Given.Kind.WORKBOOK
                || file.kind() == Given.Kind.TABLE
                || file.text().lines().limit(3).anyMatch(l -> l.contains("\t") || l.contains(";"))
                || columns(List.of(file.text().lines().findFirst().orElse("").split(",")))
                                .size()
                        > 1;
        List<Line> lines = new ArrayList<>();
        if (table) {
            rows(TableFile.rows(file), lines);
        } else {
            Given.lines(file.name(), file.text());
            names(file.text(), lines);
        }
        return doubles(lines);
    }

    private static void names(String text, List<Line> lines) {
        int number = 0;
        for (String line : text.split("\\R", -1)) {
            number++;
            TimeLimit.look();
            if (!line.isBlank()) {
                lines.add(name(number, line.strip()));
            }
        }
    }

    private static Line name(int number, String line) {
        Matcher mail = MAIL.matcher(line);
        String address = mail.find() ? mail.group() : "";
        String name = plain((address.isEmpty() ? line : line.replace(address, " "))
                .replaceAll("[<>()\\[\\]]", " ")
                .replaceFirst("^\\s*\\d+[.)]?\\s", " "));
        return student(number, line, "", name, address);
    }

    /** "Oakes, Wren" turned round, spaces tidied. */
    private static String plain(String name) {
        String tidy = name.replaceAll("\\s+", " ").replaceAll("^[\\s,;]+|[\\s,;]+$", "");
        int comma = tidy.indexOf(',');
        return comma > 0 ? (tidy.substring(comma + 1) + " " + tidy.substring(0, comma)).strip() : tidy;
    }

    private static Line student(int number, String text, String id, String name, String mail) {
        if (name.length() < 2 || name.length() > 200 || name.chars().noneMatch(Character::isLetter)) {
            return new Line(
                    number, text, "not-understood", "No name found. Write it as “Wren Oakes” or “Oakes, Wren”.", null);
        }
        String key = !id.isBlank() ? id : !mail.isEmpty() ? mail.toLowerCase(Locale.ROOT) : slug(name);
        return new Line(
                number,
                text,
                "student",
                name + (mail.isEmpty() ? "" : ", " + mail),
                new Student(key.length() > 200 ? key.substring(0, 200) : key, name, mail));
    }

    private static String slug(String name) {
        return Normalizer.normalize(name.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^\\p{L}\\d]+", "-");
    }

    private static void rows(List<List<String>> rows, List<Line> lines) {
        Map<String, Integer> columns = rows.isEmpty() ? Map.of() : columns(rows.get(0));
        boolean header = columns.size() > 1 || columns.containsKey("name");
        for (int i = 0; i < rows.size(); i++) {
            List<String> row = rows.get(i);
            String text = String.join(
                    ", ", row.stream().filter(cell -> !cell.isBlank()).toList());
            if (i == 0 && header) {
                lines.add(new Line(1, text, "heading", "the names of the columns", null));
            } else {
                lines.add(header ? row(i + 1, text, row, columns) : name(i + 1, String.join(" ", row)));
            }
        }
    }

    private static Map<String, Integer> columns(List<String> header) {
        Map<String, Integer> found = new HashMap<>();
        for (int i = 0; i < header.size(); i++) {
            String word = header.get(i).strip().toLowerCase(Locale.ROOT).replaceAll("[_\"\\uFEFF]", "");
            int at = i;
            COLUMNS.forEach((column, words) -> {
                if (words.contains(word)) {
                    found.putIfAbsent(column, at);
                }
            });
        }
        return found;
    }

    private static Line row(int number, String text, List<String> row, Map<String, Integer> columns) {
        String role = cell(row, columns, "role").toLowerCase(Locale.ROOT);
        if (!role.isEmpty() && !role.contains("student") && !role.contains("learner")) {
            return new Line(number, text, "passed", "a " + role + ", no student", null);
        }
        if (cell(row, columns, "status").equalsIgnoreCase("tobedeleted")) {
            return new Line(number, text, "passed", "marked as gone in the file", null);
        }
        String split = cell(row, columns, "given") + " " + cell(row, columns, "family");
        String name = split.isBlank() ? plain(cell(row, columns, "name")) : plain(split);
        String mail = cell(row, columns, "mail");
        boolean good = mail.isEmpty() || MAIL.matcher(mail).matches();
        Line line = student(number, text, cell(row, columns, "id"), name, good ? mail : "");
        return good || line.student() == null
                ? line
                : new Line(
                        number,
                        text,
                        "student",
                        name + "; “" + mail + "” is no mail address, left out",
                        line.student());
    }

    private static String cell(List<String> row, Map<String, Integer> columns, String column) {
        Integer at = columns.get(column);
        return at == null || at >= row.size() ? "" : row.get(at).strip();
    }

    private static List<Line> doubles(List<Line> lines) {
        Map<String, Integer> seen = new HashMap<>();
        List<Line> checked = new ArrayList<>();
        int students = 0;
        for (Line line : lines) {
            if (line.student() == null) {
                checked.add(line);
                continue;
            }
            Student s = line.student();
            String key = s.mail().isEmpty() ? slug(s.name()) : s.mail().toLowerCase(Locale.ROOT);
            Integer before = seen.containsKey(s.id()) ? seen.get(s.id()) : seen.get(key);
            if (before != null) {
                checked.add(new Line(line.number(), line.text(), "double", "the same as line " + before, s));
                continue;
            }
            seen.put(s.id(), line.number());
            seen.put(key, line.number());
            students++;
            checked.add(
                    students <= MOST
                            ? line
                            : new Line(
                                    line.number(),
                                    line.text(),
                                    "not-understood",
                                    "more than 2,000 students in one list",
                                    null));
        }
        return checked;
    }
}
