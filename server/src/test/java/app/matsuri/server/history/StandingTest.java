package app.matsuri.server.history;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.server.DemoTest;
import app.matsuri.server.ServerTest;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What an undo and a redo would do is known without reading the history, and is what a replay of it says. */
class StandingTest extends DemoTest {

    @Autowired
    private JdbcTemplate sql;

    @Autowired
    private History history;

    private final Deque<String> done = new ArrayDeque<>();
    private final Deque<String> undone = new ArrayDeque<>();

    private long step(Random random, long version) throws Exception {
        int way = random.nextInt(5);
        if (way == 0 && !done.isEmpty()) {
            undone.push(done.pop());
            return stepped("undo", version);
        }
        if (way == 1 && !undone.isEmpty()) {
            done.push(undone.pop());
            return stepped("redo", version);
        }
        String flood = ServerTest.FLOOD.replace("Flood warning", "Flood " + version);
        assertThat(browser.change(term, version, flood).status()).isEqualTo(200);
        done.push("Flood " + version);
        undone.clear();
        return version + 1;
    }

    private long stepped(String way, long version) throws Exception {
        return browser.post(at + "/" + way, "{\"version\":" + version + "}")
                .body()
                .path("version")
                .asLong();
    }

    private void compared() {
        History.Ends ends = history.ends(term);
        assertThat(ends.undo().map(History.Line::sentence).orElse(""))
                .contains(done.isEmpty() ? "" : done.peek())
                .matches(s -> s.isEmpty() == done.isEmpty());
        assertThat(ends.redo().map(History.Line::sentence).orElse(""))
                .contains(undone.isEmpty() ? "" : undone.peek())
                .matches(s -> s.isEmpty() == undone.isEmpty());
    }

    @Test
    void aRandomWalkAndAReplaySayTheSame() throws Exception {
        Random random = new Random(20);
        long version = 1;
        for (int n = 0; n < 40; n++) {
            version = step(random, version);
            compared();
        }
        // entries from before it was kept with each
        sql.update("update history_entry set undo_seq = null, redo_seq = null where term_id = ?", term);
        compared();
        for (int n = 0; n < 20; n++) {
            version = step(random, version);
            compared();
        }
    }

    @Test
    void deltasAreKeptPackedAndThoseFromBeforeAreRead() throws Exception {
        browser.change(term, 1, ServerTest.FLOOD);
        String json = history.delta(term, 2).json();
        assertThat(sql.queryForObject(
                        "select octet_length(packed) from history_entry"
                                + " where term_id = ? and seq = 2 and delta is null",
                        Integer.class,
                        term))
                .as("of %s characters", json.length())
                .isLessThan(json.length() / 4);
        sql.update("update history_entry set delta = ?, packed = null where term_id = ? and seq = 2", json, term);
        String before = browser.plan(term);
        assertThat(stepped("undo", 2)).isEqualTo(3);
        assertThat(browser.plan(term)).doesNotContain("Flood warning");
        assertThat(stepped("redo", 3)).isEqualTo(4);
        assertThat(browser.plan(term)).isEqualTo(before);
    }
}
