package app.matsuri.exchange.change;

import app.matsuri.core.calendar.Closure;
import app.matsuri.core.calendar.DayRotation;
import app.matsuri.core.calendar.Term;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.dates.Redate;
import app.matsuri.core.plan.Adjustment;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.DayNote;
import app.matsuri.core.plan.Item;
import app.matsuri.core.plan.Lesson;
import app.matsuri.core.plan.Link;
import app.matsuri.core.plan.Notice;
import app.matsuri.core.plan.NoticeTime;
import app.matsuri.core.plan.OfficeHours;
import app.matsuri.core.plan.Publishing;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Rhythm;
import app.matsuri.core.plan.Section;
import app.matsuri.core.plan.Student;
import app.matsuri.core.plan.Took;
import app.matsuri.core.plan.Unit;
import app.matsuri.core.plan.WeekNote;
import app.matsuri.core.plan.Weights;
import app.matsuri.core.plan.Which;
import app.matsuri.core.session.MeetingPattern;
import app.matsuri.core.session.SessionChange;
import app.matsuri.exchange.plan.BesidesReader;
import app.matsuri.exchange.plan.BesidesWriter;
import app.matsuri.exchange.plan.CourseReader;
import app.matsuri.exchange.plan.DetailsReader;
import app.matsuri.exchange.plan.DetailsWriter;
import app.matsuri.exchange.plan.HoursReader;
import app.matsuri.exchange.plan.HoursWriter;
import app.matsuri.exchange.plan.In;
import app.matsuri.exchange.plan.PlanWriter;
import app.matsuri.exchange.plan.SectionReader;
import app.matsuri.exchange.plan.TermReader;
import app.matsuri.exchange.plan.Words;
import java.lang.reflect.RecordComponent;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * How what a field of a change holds is read, written and described.
 *
 * @param read the field by its name; null where it is missing, or wrong, which is noted
 * @param write as JSON
 * @param schema JSON Schema, where definitions of the plan file stand under {@code #/$defs}
 */
record Value<T>(BiFunction<In, String, T> read, Function<T, Object> write, Map<String, Object> schema) {

    private static final Map<String, Object> TEXT = Map.of("type", "string");
    private static final Map<String, Value<?>> BY_TYPE = new HashMap<>();

    static {
        of("java.lang.String", (in, field) -> in.text(field, null), text -> text, TEXT);
        of("java.time.LocalDate", In::date, LocalDate::toString, pattern("^\\d{4}-\\d{2}-\\d{2}$"));
        of(
                "java.time.LocalDateTime",
                In::moment,
                Words::moment,
                pattern("^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}(:\\d{2})?$"));
        of("java.time.LocalTime", In::time, LocalTime::toString, pattern("^\\d{2}:\\d{2}(:\\d{2})?$"));
        of(
                "java.time.DayOfWeek",
                (in, field) -> in.weekday(field, null),
                Words::weekday,
                words(Arrays.stream(DayOfWeek.values()).map(Words::weekday).toList()));
        of("boolean", (in, field) -> in.has(field) ? in.flag(field, false) : null, b -> b, Map.of("type", "boolean"));
        texts("java.util.List<java.lang.String>");
        object(Closure.class, TermReader::closure, PlanWriter::closure, "closure");
        object(Term.class, TermReader::term, PlanWriter::term, "term");
        object(DayRotation.class, TermReader::rotation, PlanWriter::rotation, "rotation");
        object(Course.class, CourseReader::course, PlanWriter::course, "course");
        object(Unit.class, CourseReader::unit, PlanWriter::unit, "unit");
        object(Lesson.class, CourseReader::lesson, PlanWriter::lesson, "lesson");
        object(Item.class, CourseReader::item, PlanWriter::item, "item");
        object(Section.class, SectionReader::section, PlanWriter::section, "section");
        object(SessionChange.class, SectionReader::change, PlanWriter::change, "sessionChange");
        object(MeetingPattern.class, SectionReader::pattern, PlanWriter::pattern, "pattern");
        object(Student.class, SectionReader::student, PlanWriter::student, "student");
        object(Adjustment.class, DetailsReader::adjustment, DetailsWriter::adjustment, "adjustment");
        object(Link.class, DetailsReader::link, DetailsWriter::link, "link");
        object(Notice.class, BesidesReader::notice, BesidesWriter::notice, "notice");
        object(NoticeTime.Repeat.class, BesidesReader::repeat, BesidesWriter::repeat, "repeat");
        object(Rhythm.class, BesidesReader::rhythm, BesidesWriter::rhythm, "rhythm");
        object(DayNote.class, BesidesReader::dayNote, BesidesWriter::dayNote, "dayNote");
        object(WeekNote.class, BesidesReader::weekNote, BesidesWriter::weekNote, "weekNote");
        object(Weights.class, BesidesReader::costs, BesidesWriter::weights, "weights");
        object(Publishing.class, BesidesReader::shown, BesidesWriter::publishing, "publishing");
        object(Reminder.class, BesidesReader::reminder, BesidesWriter::reminder, "reminder");
        object(OfficeHours.class, HoursReader::hours, HoursWriter::hours, "officeHours");
        object(Took.class, BesidesReader::took, BesidesWriter::took, "took");
        object(Change.class, ChangeJson::change, ChangeJson::write, "change");
        object(PutDates.Entry.class, RedateJson::entry, RedateJson::entry, "dates");
        of(
                "java.util.Set<" + Which.class.getName() + ">",
                Value::dates,
                dates -> dates.stream().sorted().map(Words::word).toList(),
                Map.of("type", "array", "minItems", 1, "items", words(Words.all(Which.class))));
        of(Redate.How.class.getName(), (in, field) -> RedateJson.how(in), RedateJson::how, RedateJson.SCHEMA);
    }

    /** How the component of a record is read and written, by its type. */
    @SuppressWarnings("unchecked")
    static Value<Object> of(RecordComponent component) {
        Class<?> type = component.getType();
        Value<?> value = BY_TYPE.get(component.getGenericType().getTypeName());
        if (value == null && type.isEnum()) {
            value = constant((Class<? extends Enum>) type);
        }
        if (value == null && (type == int.class || type == Integer.class)) {
            value = number(Integer.MIN_VALUE);
        }
        if (value == null) {
            throw new IllegalStateException("nothing is known of how to write a "
                    + component.getGenericType().getTypeName() + " such as " + component);
        }
        return (Value<Object>) value;
    }

    /** A whole number of at least so much. */
    static Value<Integer> number(int least) {
        Map<String, Object> schema =
                least == Integer.MIN_VALUE ? Map.of("type", "integer") : Map.of("type", "integer", "minimum", least);
        return new Value<>((in, field) -> in.number(field, null, least), n -> n, schema);
    }

    /** One of these words. */
    static Value<String> word(List<String> words) {
        return new Value<>((in, field) -> in.word(field, null, words), word -> word, words(words));
    }

    private static <E extends Enum<E>> Value<E> constant(Class<E> type) {
        List<String> words = Words.all(type);
        return new Value<>(
                (in, field) -> {
                    String word = in.word(field, null, words);
                    return word == null ? null : Words.constant(type, word);
                },
                Words::word,
                words(words));
    }

    private static Set<Which> dates(In in, String field) {
        Set<Which> dates = EnumSet.noneOf(Which.class);
        in.texts(field, "opens, due or closes", x -> Words.constant(Which.class, x))
                .forEach(dates::add);
        return dates;
    }

    private static void texts(String type) {
        of(
                type,
                (in, field) -> in.texts(field, "a text in quotes", x -> x),
                texts -> texts,
                Map.of("type", "array", "items", TEXT));
    }

    /** An object, and a list of such objects. */
    private static <T> void object(
            Class<T> type, Function<In, T> read, Function<T, ? extends Object> write, String defined) {
        Map<String, Object> schema = Map.of("$ref", "#/$defs/" + defined);
        of(type.getTypeName(), (in, field) -> in.object(field, read), write::apply, schema);
        Value.<List<T>>of(
                "java.util.List<" + type.getTypeName() + ">",
                (in, field) -> in.objects(field, read),
                list -> list.stream().map(write).toList(),
                Map.of("type", "array", "items", schema));
    }

    private static <T> void of(
            String type, BiFunction<In, String, T> read, Function<T, Object> write, Map<String, Object> schema) {
        BY_TYPE.put(type, new Value<>(read, write, schema));
    }

    private static Map<String, Object> pattern(String pattern) {
        return Map.of("type", "string", "pattern", pattern);
    }

    private static Map<String, Object> words(List<String> words) {
        return Map.of("enum", words);
    }

    /** Whether there is nothing in it. */
    static boolean empty(@Nullable Object value) {
        return value == null || value instanceof Collection<?> many && many.isEmpty();
    }
}
