package app.matsuri.exchange.sheet;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a column of a sheet has. Those that come first are looked for first. */
public enum Meaning {
    POINTS("points", "pts?|points?( possible)?|max\\.?( points)?|punkte|score|marks|puntos|barème"),
    PERCENT("percent", "weight( %)?|%|% of grade|percent.*|worth|grade %|gewicht(ung)?|pondération|ponderación"),
    MINUTES("minutes", "min(ute)?s?|time needed|est\\.? time|duration|dauer|durée|duración"),
    CLOSES(
            "closes",
            "closes?( on)?|last chance|late (until|due|deadline)|cut-?off|final deadline|accept(ed)? (until|till)"
                    + "|(available|open) until|lock(s|ed)?( on)?|schluss|letzte abgabe|clôture|fin|cierre"),
    OPENS(
            "opens",
            "opens?( on)?|given out|hand(ed)? out|assigned( on)?|available( from)?|released?( on)?|posted( on)?"
                    + "|out|starts?|ausgabe|beginn|ouverture|distribué|apertura|se asigna"),
    DUE(
            "due date",
            "due( date| by| on| at)?s?|deadlines?|hand(ed)? in( by)?|turn(ed)? in( by)?|submit( by)?|when due"
                    + "|fällig(keit)?|bis( wann| zum)?|zu erledigen bis|pour quand|para cuándo|abgabe(datum|termin|frist)|échéance|date limite|pour le|fecha de entrega|fecha límite"),
    TEST(
            "quiz/exam",
            "quiz(zes)?(es)?|tests?|exams?|quiz ?/ ?(exam|test)s?|(tests?|exams?|quizzes) ?(/|&|and) ?(quizzes|quiz|tests?|exams?)"
                    + "|klausur(en)?|prüfung(en)?|contrôles?|examens?|exámenes|examen"),
    WORK_DUE(
            "work due",
            "(work|assignments?|homework|hw|items?|deliverables?) due.*|what'?s due|due (this week|today|in class|items?)"
                    + "|due|abgaben?|à rendre|entregas?"),
    LAB("lab", "labs?\\b.*|laborator(y|io|ies)\\b.*|practicals?|praktikum|übung(en)?|tp|travaux pratiques|prácticas?"),
    READING(
            "reading",
            "read(ings?|s)?\\b.*|((required|background|further|core|set|seminar|weekly|assigned) )?readings?( .*)?|prep(aration|are)?\\b.*|before class|text(book)?( pages)?|pages|lektüre|lesen"
                    + "|vorbereitung|à lire|lecturas?|leer"),
    OBJECTIVES(
            "objectives",
            "(learning )?(objectives?|goals?|targets?|outcomes?)|standards?|skills|i can.*|swbat.*|lernziele?|ziele?"
                    + "|objectifs?|objetivos?|competencias?"),
    WORK(
            "work",
            "work|course ?work|assignments?|assessments?|homework( assigned)?|hw|tasks?|items?|graded work|deliverables?|projects?"
                    + "|practice|exercises?|hausaufgaben?|aufgaben?|leistung(en)?|devoirs?|travail|évaluations?|tareas?"
                    + "|deberes|evaluación(es)?|actividad evaluada"),
    SESSIONS(
            "sessions",
            "periods?|sessions?|(no\\.?|number|#) ?(of )?(days|periods|classes|sessions|lessons)|how many.*|days( needed)?"
                    + "|length|classes|stunden|std\\.?|ustd\\.?|anzahl|séances|heures|sesiones|horas|clases"),
    CLASS_NUMBER(
            "class number",
            "class|class ?(no\\.?|#|number)|session ?(no\\.?|#|number)?|lecture ?(no\\.?|#|number)|meeting|#|no\\.?|nr\\.?"
                    + "|n°|núm\\.?|day ?#|sitzung|termin"),
    WEEK("week", "weeks?|wk\\.?|w|week ?(no\\.?|#|number)|woche|kw|semaine|semana|sem\\.?"),
    DATE(
            "date",
            "dates?( of class)?|week (beginning|commencing|starting)|w/?[bc]|beginning|dates? ?/ ?days?|days? ?/ ?dates?|when|meeting dates?|week of|datum|tag|fechas?|jour|día"
                    + "|day"),
    UNIT(
            "unit",
            "units?|modules?|parts?|chapters?|themes?|blocks?|big idea|strand|einheit|kapitel|block|unité|module|chapitre"
                    + "|unidad(es)?|módulo|bloque|sequence|séquence"),
    LESSON(
            "lesson title",
            "topics?( ?/.*|\\b.*)?|lessons?( title| topic)?|titles?|contents?|class (topic|activit(y|ies)|content)"
                    + "|subjects?|activit(y|ies)|agenda|in class|(lectures?|seminars?)( topics?)?|class(es)?( topics?)?|what we do|plan|thema|themen|inhalte?|stunde|sujets?|contenus?"
                    + "|thèmes?|leçon|temas?|contenidos?|lección"),
    MARKER("marker", "(who )?(marks|grades)|graders?|(graded|marked) by|korrektur|correcteur"),
    NOTES(
            "notes",
            "notes?|comments?|remarks?|misc\\.?|other|announcements?|bemerkung(en)?|notizen|remarques?|observaciones|notas"
                    + "|reminders?|to do"),
    /** What no column takes: it is listed, never dropped. */
    NOTHING("not taken", "");

    private final String said;
    private final Pattern heads;

    Meaning(String said, String heads) {
        this.said = said;
        this.heads = Pattern.compile(heads, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    /** Its name on screen and in the table of columns. */
    public String said() {
        return said;
    }

    /** The one of that name.
     *
     * @throws IllegalArgumentException where there is none */
    public static Meaning of(String said) {
        for (Meaning meaning : values()) {
            if (meaning.said.equals(said)) {
                return meaning;
            }
        }
        throw new IllegalArgumentException("“" + said + "” is no meaning of a column.");
    }

    /** The one that a head names, the words in its brackets aside; empty where it names none. */
    static Optional<Meaning> ofHead(String head) {
        String plain = head.toLowerCase(Locale.ROOT)
                .replace('\u00a0', ' ')
                .replaceAll("\\s*\\([^()]*\\)", "")
                .replaceAll("[?:*!]|\\.$", "")
                .replaceAll("\\s+", " ")
                .strip();
        if (plain.isEmpty() || plain.length() > 60) {
            return Optional.empty();
        }
        for (Meaning meaning : values()) {
            if (meaning.heads.matcher(plain).matches()) {
                return Optional.of(meaning);
            }
        }
        return Optional.empty();
    }

    /** Whether a sheet may have more than one such column. */
    boolean several() {
        return this == READING
                || this == LAB
                || this == TEST
                || this == WORK
                || this == WORK_DUE
                || this == NOTES
                || this == NOTHING;
    }

    /** Whether its cells are work. */
    boolean work() {
        return this == READING || this == LAB || this == TEST || this == WORK || this == WORK_DUE;
    }
}
