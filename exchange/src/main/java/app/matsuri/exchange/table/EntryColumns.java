package app.matsuri.exchange.table;

import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.MomentWords;
import app.matsuri.exchange.words.TimeWords;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Which column of a table of entries is what: by its head in English, German, French or Spanish, and where that says nothing by what its
 * cells have in them.
 */
final class EntryColumns {

    /** What a column may be. */
    enum Part {
        TITLE,
        COURSE,
        START_DAY,
        START_TIME,
        END_DAY,
        END_TIME,
        ALL_DAY,
        PLACE,
        WORDS
    }

    /** What the cells of a column have in them. */
    private enum Has {
        DAYS,
        TIMES,
        YES_OR_NO,
        TEXTS,
        NOTHING
    }

    private static final Map<Part, Set<String>> HEADS = new EnumMap<>(Map.of(
            Part.TITLE,
            words("title|subject|summary|name|event|entry|what|betreff|titel|bezeichnung|veranstaltung|termin"
                    + "|objet|titre|intitulé|événement|asunto|título|titulo|evento|nombre"),
            Part.COURSE,
            words("course|course code|kurs|fach|cours|matière|curso|asignatura|materia"),
            Part.START_DAY,
            words("start date|start day|starts on|begin date|date|day|start|begins|starts|beginn|startdatum"
                    + "|anfangsdatum|beginnt am|datum|tag|début|date de début|date début|jour|fecha de inicio"
                    + "|fecha de comienzo|fecha inicio|fecha|día|dia|inicio|comienzo|begin|from date"),
            Part.START_TIME,
            words("start time|starts at|begin time|time|from|startzeit|beginnt um|uhrzeit|von|anfangszeit"
                    + "|heure de début|heure début|heure|de|hora de inicio|hora de comienzo|hora inicio|hora|desde"),
            Part.END_DAY,
            words("end date|end day|ends on|end|ends|enddatum|endet am|ende|fin|date de fin|date fin|to date"
                    + "|fecha de fin|fecha de finalización|fecha fin|fecha final|final"),
            Part.END_TIME,
            words("end time|ends at|to|until|endzeit|endet um|bis|heure de fin|heure fin|à|jusqu'à"
                    + "|hora de fin|hora de finalización|hora fin|hasta"),
            Part.ALL_DAY,
            words("all day|all day event|all-day|whole day|ganztägig|ganztägiges ereignis|ganztags"
                    + "|journée entière|toute la journée|todo el día|todo el dia|día completo"),
            Part.PLACE,
            words("place|location|room|where|ort|raum|lieu|salle|lugar|ubicación|ubicacion|aula"),
            Part.WORDS,
            words("description|notes|details|words|text|body|beschreibung|notizen|hinweise|remarques|détails"
                    + "|descripción|descripcion|notas|detalles")));

    private static final Set<String> YES = words("yes|true|y|x|1|ja|wahr|oui|vrai|sí|si|verdadero");
    private static final Set<String> NO = words("no|false|n|0|nein|falsch|non|faux|falso");

    private static Set<String> words(String all) {
        return Set.of(all.split("\\|"));
    }

    private final Map<Part, Integer> at = new EnumMap<>(Part.class);
    private final boolean heads;
    private final List<String> aside = new ArrayList<>();

    private EntryColumns(List<List<String>> rows, DayWords days) {
        List<String> first = rows.get(0);
        heads = first.stream().noneMatch(cell -> day(cell, days) || time(cell));
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        List<Has> has = new ArrayList<>();
        for (int c = 0; c < width; c++) {
            has.add(has(rows.subList(heads ? 1 : 0, rows.size()), c, days));
        }
        for (int c = 0; heads && c < Math.min(width, first.size()); c++) {
            int column = c;
            named(first.get(c)).map(part -> fitting(part, has.get(column))).ifPresent(p -> at.putIfAbsent(p, column));
        }
        for (int c = 0; c < width; c++) {
            if (!at.containsValue(c)) {
                byContents(c, has.get(c), rows);
            }
        }
        for (int c = 0; c < width; c++) {
            if (!at.containsValue(c) && has.get(c) != Has.NOTHING) {
                String head = heads && c < first.size() ? first.get(c) : "";
                aside.add(head.isBlank() ? "column " + (c + 1) : "“" + head.strip() + "”");
            }
        }
    }

    /** The columns of a table with one row or more; empty where nothing in it is a title or a day. */
    static Optional<EntryColumns> of(List<List<String>> rows, DayWords days) {
        EntryColumns columns = new EntryColumns(rows, days);
        return columns.at.containsKey(Part.TITLE) && columns.at.containsKey(Part.START_DAY)
                ? Optional.of(columns)
                : Optional.empty();
    }

    private static Optional<Part> named(String head) {
        String word = head.strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\uFEFF*:?]", "")
                .replaceAll("[\\s_]+", " ");
        return HEADS.entrySet().stream()
                .filter(e -> e.getValue().contains(word))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** A column of "start" has days or times: its cells say which. */
    private static Part fitting(Part part, Has has) {
        boolean start = part == Part.START_DAY || part == Part.START_TIME;
        boolean end = part == Part.END_DAY || part == Part.END_TIME;
        if (has == Has.DAYS && (start || end)) {
            return start ? Part.START_DAY : Part.END_DAY;
        }
        if (has == Has.TIMES && (start || end)) {
            return start ? Part.START_TIME : Part.END_TIME;
        }
        return part;
    }

    private void byContents(int column, Has has, List<List<String>> rows) {
        switch (has) {
            case DAYS -> first(column, Part.START_DAY, Part.END_DAY);
            case TIMES -> first(column, Part.START_TIME, Part.END_TIME);
            case YES_OR_NO -> first(column, Part.ALL_DAY);
            case TEXTS -> {
                boolean each =
                        rows.stream().map(row -> cell(row, column)).distinct().count() * 2 > rows.size();
                if (each) {
                    first(column, Part.TITLE, Part.WORDS);
                }
            }
            case NOTHING -> {}
        }
    }

    private void first(int column, Part... parts) {
        for (Part part : parts) {
            if (!at.containsKey(part)) {
                at.put(part, column);
                return;
            }
        }
    }

    private static Has has(List<List<String>> rows, int column, DayWords days) {
        List<String> cells = rows.stream()
                .map(row -> cell(row, column))
                .filter(cell -> !cell.isEmpty())
                .limit(200)
                .toList();
        if (cells.isEmpty()) {
            return Has.NOTHING;
        }
        if (most(cells, EntryColumns::time)) {
            return Has.TIMES;
        }
        if (most(cells, cell -> day(cell, days))) {
            return Has.DAYS;
        }
        return most(cells, cell -> yes(cell) || NO.contains(cell.toLowerCase(Locale.ROOT))) ? Has.YES_OR_NO : Has.TEXTS;
    }

    /** Four of five cells: a few may be mistyped. */
    private static boolean most(List<String> cells, Predicate<String> like) {
        return cells.stream().filter(like).count() * 5 >= cells.size() * 4L;
    }

    private static boolean day(String cell, DayWords days) {
        return MomentWords.read(cell, days).isPresent();
    }

    private static boolean time(String cell) {
        return TimeWords.read(cell).isPresent();
    }

    private static String cell(List<String> row, int column) {
        return column < row.size() ? row.get(column).strip() : "";
    }

    static boolean yes(String cell) {
        return YES.contains(cell.toLowerCase(Locale.ROOT));
    }

    /** Whether the first row names the columns. */
    boolean heads() {
        return heads;
    }

    /** The columns that nothing is read from, as they are called. */
    List<String> aside() {
        return aside;
    }

    /** A row's cell, stripped; empty where there is none. */
    String cell(List<String> row, Part part) {
        Integer column = at.get(part);
        return column == null ? "" : cell(row, column);
    }
}
