package app.matsuri.server.storage;

import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.SectionRef;
import app.matsuri.core.plan.Telling;
import app.matsuri.core.plan.Told;
import app.matsuri.core.plan.ToldSession;
import app.matsuri.core.plan.Which;
import app.matsuri.exchange.plan.ToldJson;
import app.matsuri.server.storage.row.SectionRow;
import app.matsuri.server.storage.row.TellingRow;
import app.matsuri.server.storage.row.ToldSessionRow;
import app.matsuri.server.storage.row.ToldWorkRow;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What students were told, as rows and back; the days of lessons stand with what a section decided about them. */
final class ToldRows {

    private final Map<SectionRef, List<ToldSessionRow>> sessions;
    private final Map<SectionRef, List<ToldWorkRow>> work;
    private final Map<SectionRef, List<TellingRow>> tellings;

    ToldRows(Rows rows) {
        sessions = RowReader.grouped(rows, ToldSessionRow.class, r -> new SectionRef(r.course, r.section), r -> 0);
        work = RowReader.grouped(rows, ToldWorkRow.class, r -> new SectionRef(r.course, r.section), r -> r.position);
        tellings = RowReader.grouped(rows, TellingRow.class, r -> new SectionRef(r.course, r.section), r -> r.position);
    }

    static void write(long termId, String course, Section section, Rows rows) {
        section.told().sessions().forEach((name, session) -> {
            ToldSessionRow row = new ToldSessionRow();
            row.termId = termId;
            row.course = course;
            row.section = section.code();
            row.name = name;
            row.starts = session.start();
            row.ends = session.end();
            row.place = session.place();
            row.lessons = RowWriter.list(ToldJson.lessons(session.lessons()));
            rows.put(row);
        });
        int position = 0;
        for (Map.Entry<String, Told.OfWork> entry : section.told().work().entrySet()) {
            ToldWorkRow row = new ToldWorkRow();
            row.termId = termId;
            row.course = course;
            row.section = section.code();
            row.item = entry.getKey();
            row.position = position++;
            row.title = entry.getValue().title();
            Map<Which, LocalDateTime> dates = entry.getValue().dates();
            row.opens = dates.get(Which.OPENS);
            row.due = dates.get(Which.DUE);
            row.closes = dates.get(Which.CLOSES);
            row.entries = RowWriter.list(ToldJson.entries(entry.getValue().entries()));
            rows.put(row);
        }
        position = 0;
        for (Telling telling : section.told().tellings()) {
            TellingRow row = new TellingRow();
            row.termId = termId;
            row.course = course;
            row.section = section.code();
            row.position = position++;
            row.toldAt = telling.at();
            row.why = telling.why();
            row.moves = RowWriter.list(ToldJson.moves(telling.moves()));
            rows.put(row);
        }
    }

    Told told(SectionRow section, Map<String, LocalDate> lessons) {
        SectionRef key = new SectionRef(section.course, section.code);
        Map<LocalDateTime, ToldSession> classes = new LinkedHashMap<>();
        for (ToldSessionRow row : sessions.getOrDefault(key, List.of())) {
            List<ToldSession.OfLesson> taken = RowReader.list(row.lessons, ToldJson::lesson);
            classes.put(row.name, new ToldSession(row.starts, row.ends, row.place, taken));
        }
        Map<String, Told.OfWork> told = new LinkedHashMap<>();
        for (ToldWorkRow row : work.getOrDefault(key, List.of())) {
            Map<Which, LocalDateTime> dates = new EnumMap<>(Which.class);
            dates.put(Which.OPENS, row.opens);
            dates.put(Which.DUE, row.due);
            dates.put(Which.CLOSES, row.closes);
            dates.values().removeIf(d -> d == null);
            List<LocalDateTime> entries = RowReader.texts(row.entries).stream()
                    .map(LocalDateTime::parse)
                    .toList();
            told.put(row.item, new Told.OfWork(row.title, dates, entries));
        }
        return new Told(
                lessons,
                classes,
                told,
                section.toldUpTo,
                tellings.getOrDefault(key, List.of()).stream()
                        .map(t -> new Telling(t.toldAt, t.why, RowReader.list(t.moves, ToldJson::move)))
                        .toList());
    }
}
