package app.matsuri.exchange.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Cuts a cell where one work ends and another begins: "HW 3 due, Quiz 2 (Fri); Project proposal (5%) due Fri 9/18 11:59pm". */
final class WorkPieces {

    private static final String START =
            "(?:hw|home ?work|quiz|lab|exam|test|mid-?term|problem set|pset|ps|project|paper|essay"
                    + "|discussion|worksheet|assignment|exercise|report|draft|reading)\\s*(?:#|no\\.?)?\\s*\\d";
    /** Where the next work begins behind a comma. */
    private static final Pattern NEXT = WorkWords.of(",\\s*(?:and\\s+)?(?=" + START
            + "|(?:read|watch|skim|listen to|bring|do|complete)\\s)|\\s+\\+\\s+(?=" + START + ")");

    private static final Pattern READ_ON = WorkWords.of("(?:read|skim|do|bring)\\b");
    private static final Pattern BEGINS_WORK = WorkWords.of(START + ".*");

    private WorkPieces() {}

    /**
     * The pieces of a cell, in its order.
     *
     * @param reading whether it stands in a column of readings
     */
    static List<String> of(String cell, boolean reading) {
        List<String> parts = new ArrayList<>();
        int from = 0;
        int depth = 0;
        boolean quoted = false;
        for (int i = 0; i < cell.length(); i++) {
            char c = cell.charAt(i);
            depth += c == '(' || c == '[' ? 1 : (c == ')' || c == ']') && depth > 0 ? -1 : 0;
            quoted = c == '"' ? !quoted : c == '“' || c != '”' && quoted;
            boolean cut = c == '\n' || c == '\r' || c == ';' && depth == 0 && !quoted;
            if (cut) {
                parts.add(cell.substring(from, i));
                from = i + 1;
                depth = 0;
                quoted = false;
            }
        }
        parts.add(cell.substring(from));
        List<String> all = new ArrayList<>();
        for (String part : reading ? parts : whole(parts, cell)) {
            int at = 0;
            Matcher m = NEXT.matcher(part);
            while (m.find()) {
                String before = part.substring(at, m.start());
                if (!before.isBlank()
                        && balanced(before)
                        && !(reading
                                && !m.group().matches("(?s).*\\+.*")
                                && READ_ON.matcher(part)
                                        .region(m.end(), part.length())
                                        .lookingAt())
                        && !(reading && before.matches("(?i).*\\bch\\.?\\s*$"))) {
                    all.add(before);
                    at = m.end();
                }
            }
            all.add(part.substring(at));
        }
        return all;
    }

    /** Joins what a semicolon cuts off and is no work by itself: "Read the jars; start starters". */
    private static List<String> whole(List<String> parts, String cell) {
        List<String> joined = new ArrayList<>();
        for (String part : parts) {
            String text = part.strip();
            boolean goes = !joined.isEmpty()
                    && !text.isEmpty()
                    && Character.isLowerCase(text.charAt(0))
                    && !WorkWords.ONLY_ADDS.matcher(text).matches()
                    && !BEGINS_WORK.matcher(text).matches()
                    && !WorkWords.CLAUSE.matcher(text).find()
                    && !WorkWords.BY.matcher(text).find()
                    && !WorkFacts.POINTS.matcher(text).find()
                    && !WorkFacts.PERCENT.matcher(text).find()
                    && !WorkWords.CLAUSE.matcher(joined.get(joined.size() - 1)).find()
                    && cell.contains(joined.get(joined.size() - 1) + ";");
            if (goes) {
                joined.set(joined.size() - 1, joined.get(joined.size() - 1) + ";" + part);
            } else {
                joined.add(part);
            }
        }
        return joined;
    }

    private static boolean balanced(String text) {
        return text.chars().filter(c -> c == '(').count()
                == text.chars().filter(c -> c == ')').count();
    }
}
