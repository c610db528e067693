package app.matsuri.exchange.sheet;

import app.matsuri.exchange.words.Days;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * What the columns of a sheet have: as their heads say, their contents confirm, and a person says better.
 *
 * @param heads index of the row with the heads; -1 for none
 * @param meanings by column, from the first
 * @param names what the heads say, by column
 * @param doubts what is unclear about them, a sentence each
 */
record Columns(int heads, List<Meaning> meanings, List<String> names, List<String> doubts) {

    private static final int LOOKED_AT = 25;

    private static final Pattern NUMBER = Pattern.compile("\\d{1,3}(?:[.,]\\d)?");
    private static final Pattern COUNT = Pattern.compile("\\d{1,2}(?:\\s*\\(.*\\))?(?:\\s*\\p{L}{1,8})?");
    private static final Pattern WORK = Pattern.compile(
            "(?iu).*\\b(?:due|hw|homework|quiz|test|exam|project|paper|essay|worksheet|problem set)\\b.*");
    private static final Pattern READING =
            Pattern.compile("(?iu).*(?:\\bch(?:apters?|\\.)?\\s*\\d|\\bpp?\\.\\s*\\d|\\bread(?:ing)?\\b|§).*");

    /**
     * Finds them.
     *
     * @param said what a person said of columns, by index; it counts before all else
     */
    static Columns of(List<SheetRow> rows, SheetDays days, Map<Integer, Meaning> said) {
        int width = rows.stream().mapToInt(r -> r.cells().size()).max().orElse(0);
        int heads = heads(rows);
        List<Meaning> meanings = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (int c = 0; c < width; c++) {
            String head = heads < 0 ? "" : rows.get(heads).cell(c);
            names.add(head.replaceAll("\\s+", " "));
            meanings.add(Meaning.ofHead(head).orElse(Meaning.NOTHING));
        }
        Contents contents = new Contents(rows.subList(heads + 1, rows.size()), days, new WhenWords(days));
        List<String> doubts = new ArrayList<>();
        sharpen(meanings, names, contents);
        if (heads < 0) {
            guess(meanings, contents);
        } else {
            clear(meanings, contents);
        }
        said.forEach((c, meaning) -> {
            if (c >= 0 && c < width) {
                only(meanings, c, meaning);
                meanings.set(c, meaning);
            }
        });
        once(meanings, contents, said.keySet());
        if (!meanings.contains(Meaning.LESSON) && said.isEmpty()) {
            contents.wordiest(meanings).ifPresent(c -> {
                meanings.set(c, Meaning.LESSON);
                doubts.add("No column is called topic or lesson: column " + (c + 1) + named(names.get(c))
                        + " was taken for it.");
            });
        }
        for (int c = 0; c < width; c++) {
            if (meanings.get(c) == Meaning.NOTHING && contents.filled(c) > 0 && !said.containsKey(c)) {
                doubts.add("Column " + (c + 1) + named(names.get(c))
                        + " is not taken: say what it has. It begins with “" + contents.sample(c) + "”.");
            }
        }
        return new Columns(heads, List.copyOf(meanings), names, doubts);
    }

    private static String named(String head) {
        return head.isEmpty() ? "" : " “" + head + "”";
    }

    /** The first of the upper rows in which at least two cells, and most of them, are heads. */
    private static int heads(List<SheetRow> rows) {
        int best = -1;
        long most = 1;
        boolean first = true;
        for (int r = 0; r < Math.min(LOOKED_AT, rows.size()); r++) {
            SheetRow row = rows.get(r);
            Set<Meaning> known = EnumSet.noneOf(Meaning.class);
            row.cells().forEach(cell -> Meaning.ofHead(cell).ifPresent(known::add));
            // one head that is known will do in the first row of several cells, where none of them has figures
            boolean alone = first
                    && known.size() == 1
                    && row.filled() > 1
                    && !row.text().matches("(?s).*\\d.*");
            first &= row.filled() < 2;
            if ((known.size() > most || alone && best < 0) && known.size() * 2L >= row.filled()) {
                most = known.size();
                best = r;
            }
        }
        return best;
    }

    /** Where a head may mean two things, its contents say which. */
    private static void sharpen(List<Meaning> meanings, List<String> names, Contents contents) {
        for (int c = 0; c < meanings.size(); c++) {
            Meaning meaning = meanings.get(c);
            boolean counts = contents.rising(c);
            if (meaning == Meaning.SESSIONS && counts) {
                meanings.set(c, Meaning.CLASS_NUMBER);
            } else if (meaning == Meaning.CLASS_NUMBER && !counts && contents.most(c, COUNT)) {
                meanings.set(c, Meaning.SESSIONS);
            } else if (meaning == Meaning.CLASS_NUMBER
                    && contents.words(c) > 12
                    && !meanings.contains(Meaning.LESSON)) {
                meanings.set(c, Meaning.LESSON);
            } else if (meaning == Meaning.WEEK && contents.dates(c) > 0.6) {
                meanings.set(c, meanings.contains(Meaning.DATE) ? Meaning.WEEK : Meaning.DATE);
            } else if (meaning == Meaning.DUE && contents.works(c) > 0.35 && !contents.plainDates(c)) {
                meanings.set(c, Meaning.WORK_DUE);
            } else if (meaning == Meaning.WORK_DUE && contents.plainDates(c)) {
                meanings.set(c, Meaning.DUE);
            } else if (meaning == Meaning.TEST && contents.plainDates(c)) {
                meanings.set(c, Meaning.DUE);
            } else if (meaning == Meaning.LESSON
                    && names.get(c).matches("(?i)lectures?")
                    && meanings.stream().filter(m -> m == Meaning.LESSON).count() > 1) {
                meanings.set(c, Meaning.READING); // beside the column of topics it is French
            } else if (meaning == Meaning.LESSON && contents.dates(c) > 0.8 && contents.words(c) < 14) {
                meanings.set(c, Meaning.DATE);
            }
        }
    }

    /** A column whose head says nothing known, but whose contents do. */
    private static void clear(List<Meaning> meanings, Contents contents) {
        for (int c = 0; c < meanings.size(); c++) {
            if (meanings.get(c) == Meaning.NOTHING && contents.filled(c) > 2) {
                meanings.set(
                        c,
                        contents.most(c, READING)
                                ? Meaning.READING
                                : contents.works(c) > 0.6 ? Meaning.WORK_DUE : Meaning.NOTHING);
            }
        }
    }

    /** A sheet without heads: columns by what is in them, else in the usual order. */
    private static void guess(List<Meaning> meanings, Contents contents) {
        boolean any = false;
        for (int c = 0; c < meanings.size(); c++) {
            Meaning meaning = contents.filled(c) == 0
                    ? Meaning.NOTHING
                    : contents.dates(c) > 0.6 && contents.plainDates(c)
                            ? meanings.contains(Meaning.DATE) ? Meaning.DUE : Meaning.DATE
                            : contents.rising(c)
                                    ? meanings.contains(Meaning.WEEK) ? Meaning.CLASS_NUMBER : Meaning.WEEK
                                    : contents.works(c) > 0.5
                                            ? Meaning.WORK_DUE
                                            : contents.most(c, READING) ? Meaning.READING : Meaning.NOTHING;
            any |= meaning == Meaning.DATE || meaning == Meaning.WEEK;
            meanings.set(c, meaning);
        }
        List<Meaning> usual = List.of(Meaning.UNIT, Meaning.LESSON, Meaning.SESSIONS, Meaning.WORK, Meaning.DUE);
        if (!any && meanings.size() <= usual.size()) {
            for (int c = 0; c < meanings.size(); c++) {
                meanings.set(c, usual.get(c));
            }
            return;
        }
        contents.wordiest(meanings).ifPresent(c -> meanings.set(c, Meaning.LESSON));
        for (int c = 0; c < meanings.size(); c++) {
            if (meanings.get(c) == Meaning.NOTHING && contents.filled(c) > 0 && c < meanings.indexOf(Meaning.LESSON)) {
                meanings.set(c, Meaning.UNIT);
                return;
            }
        }
    }

    /** Takes a meaning that only one column may have from the others. */
    private static void only(List<Meaning> meanings, int column, Meaning meaning) {
        if (!meaning.several()) {
            meanings.replaceAll(m -> m == meaning ? Meaning.NOTHING : m);
        }
        meanings.set(column, meaning);
    }

    /** Of two columns with one meaning the fuller one keeps it. */
    private static void once(List<Meaning> meanings, Contents contents, Set<Integer> said) {
        for (Meaning meaning : Meaning.values()) {
            if (meaning.several()) {
                continue;
            }
            int best = -1;
            for (int c = 0; c < meanings.size(); c++) {
                boolean better = best < 0
                        || !said.contains(best) && (said.contains(c) || contents.filled(c) > contents.filled(best));
                if (meanings.get(c) == meaning && better) {
                    if (best >= 0) {
                        meanings.set(best, second(meaning));
                    }
                    best = c;
                } else if (meanings.get(c) == meaning) {
                    meanings.set(c, second(meaning));
                }
            }
        }
    }

    /** What the lesser of two such columns is: a second column of topics holds what is done, one of units the lesson. */
    private static Meaning second(Meaning meaning) {
        return meaning == Meaning.LESSON ? Meaning.OBJECTIVES : Meaning.NOTHING;
    }

    int at(Meaning meaning) {
        return meanings.indexOf(meaning);
    }

    boolean has(Meaning meaning) {
        return meanings.contains(meaning);
    }

    /** A row's cell under the first column of a meaning; empty where there is none. */
    String cell(SheetRow row, Meaning meaning) {
        return row.cell(at(meaning));
    }

    /** What the cells of columns have. */
    private record Contents(List<SheetRow> rows, SheetDays days, WhenWords when) {

        private List<String> cells(int column) {
            return rows.stream()
                    .map(r -> r.cell(column))
                    .filter(c -> !c.isBlank())
                    .limit(60)
                    .toList();
        }

        int filled(int column) {
            return cells(column).size();
        }

        String sample(int column) {
            String first = cells(column).get(0).replaceAll("\\s+", " ");
            return first.length() > 40 ? first.substring(0, 39) + "…" : first;
        }

        private double share(int column, Predicate<String> which) {
            List<String> cells = cells(column);
            return cells.isEmpty() ? 0 : cells.stream().filter(which).count() / (double) cells.size();
        }

        double dates(int column) {
            return share(column, c -> !days.find(c).isEmpty());
        }

        /** Whether its cells are dates and times, and name nothing. */
        boolean plainDates(int column) {
            return share(
                            column,
                            c -> WhenWords.nothing(c)
                                    || when.whole(c, null, false)
                                            .filter(w -> w.sort() != When.Sort.WORDS)
                                            .isPresent())
                    > 0.5;
        }

        double works(int column) {
            return share(column, c -> WORK.matcher(c).matches());
        }

        boolean most(int column, Pattern pattern) {
            return share(column, c -> pattern.matcher(c).matches()) > 0.6;
        }

        double words(int column) {
            return cells(column).stream().mapToInt(String::length).average().orElse(0);
        }

        /** Whether its cells are numbers that rise from row to row. */
        boolean rising(int column) {
            List<Integer> numbers = cells(column).stream()
                    .map(Days::plain)
                    .filter(c -> NUMBER.matcher(c).matches() && !c.contains(".") && !c.contains(","))
                    .map(Integer::valueOf)
                    .toList();
            if (numbers.size() < 3 || numbers.size() < filled(column) * 0.6) {
                return false;
            }
            long up = 0;
            for (int i = 1; i < numbers.size(); i++) {
                up += numbers.get(i) > numbers.get(i - 1) ? 1 : 0;
            }
            return up >= (numbers.size() - 1) * 0.8 && new HashSet<>(numbers).size() > 2;
        }

        /** The column without a meaning that has the most words. */
        Optional<Integer> wordiest(List<Meaning> meanings) {
            int best = -1;
            double most = 3;
            for (int c = 0; c < meanings.size(); c++) {
                double words = Math.min(words(c), 80) * filled(c) / Math.max(1, rows.size());
                if (meanings.get(c) == Meaning.NOTHING && words > most) {
                    most = words;
                    best = c;
                }
            }
            return best < 0 ? Optional.empty() : Optional.of(best);
        }
    }
}
