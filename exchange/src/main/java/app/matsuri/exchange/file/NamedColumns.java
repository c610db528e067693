package app.matsuri.exchange.file;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The columns of a table by what its first row calls them, in any case; of two of the same meaning the first counts. */
public final class NamedColumns {

    private final Map<String, Integer> at = new HashMap<>();

    /**
     * Reads a first row.
     *
     * @param meanings for each column that is wanted, the words for it in lower case
     */
    public NamedColumns(List<String> header, Map<String, Set<String>> meanings) {
        for (int i = 0; i < header.size(); i++) {
            String word = header.get(i).strip().toLowerCase(Locale.ROOT).replace("\uFEFF", "");
            int index = i;
            meanings.forEach((column, words) -> {
                if (words.contains(word)) {
                    at.putIfAbsent(column, index);
                }
            });
        }
    }

    public boolean has(String column) {
        return at.containsKey(column);
    }

    /** How many of the wanted columns there are. */
    public int size() {
        return at.size();
    }

    /** A row's cell in the column, stripped; empty where the row or the table has none. */
    public String cell(List<String> row, String column) {
        Integer index = at.get(column);
        return index == null || index >= row.size() ? "" : row.get(index).strip();
    }
}
