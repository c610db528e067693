package app.matsuri.exchange.sheet;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Work as a sheet says it, while the rest of its row is still being read. */
public final class Work {

    private final int row;
    String title;
    String kind;

    @Nullable
    When opens;

    @Nullable
    When due;

    @Nullable
    When closes;

    @Nullable
    BigDecimal points;

    @Nullable
    BigDecimal percent;

    @Nullable
    Integer minutes;

    String marking = "";
    boolean inClass;
    final List<String> links = new ArrayList<>();
    final List<String> doubts = new ArrayList<>();

    Work(int row, String title, String kind) {
        this.row = row;
        this.title = title;
        this.kind = kind;
    }

    public int row() {
        return row;
    }

    public String title() {
        return title;
    }

    /** One of the kinds of the plan file. */
    public String kind() {
        return kind;
    }

    public @Nullable When opens() {
        return opens;
    }

    public @Nullable When due() {
        return due;
    }

    public @Nullable When closes() {
        return closes;
    }

    public @Nullable BigDecimal points() {
        return points;
    }

    /** Its share of the grade, in percent. */
    public @Nullable BigDecimal percent() {
        return percent;
    }

    /** Expected minutes. */
    public @Nullable Integer minutes() {
        return minutes;
    }

    /** Who marks it, as the plan file says it; empty where not said. */
    public String marking() {
        return marking;
    }

    public List<String> links() {
        return links;
    }

    /** What is unclear about it, a sentence each. */
    public List<String> doubts() {
        return doubts;
    }

    boolean test() {
        return kind.equals("test") || kind.equals("quiz");
    }
}
