package app.matsuri.exchange.school;

import app.matsuri.exchange.words.DayWords;
import app.matsuri.exchange.words.Days;
import java.time.DayOfWeek;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the words of a school's calendar say, in English, German, French and Spanish. */
final class CalendarWords {

    private static final String CLASSES =
            "(?:classes|class|lectures?|lessons|instruction|teaching|lehrveranstaltungen?|lvs?|vorlesungen|unterricht|lehrbetrieb|cours|clases|labores|actividades)";

    /** Classes meet, whatever else the day is. */
    static final Pattern MEETS = of(
            CLASSES
                    + " (?:do |will |all )?(?:meet|proceed|continue|(?:are|is) held|run|as (?:usual|normal|scheduled)|take place|in session|(?:is|are) not (?:suspended|cancel)\\w*|finden statt|findet statt|normal\\w*|ont lieu|maintenus|en horario normal)"
                    + "|(?:proceed|continue|held|run) as (?:normal|usual|scheduled)|in session|regular (?:school )?day|school (?:is )?open"
                    + "|(?:lehrbetrieb|unterricht) (?:normal|nach plan|findet statt)|clases normales|d[ií]a normal de clases|jour de classe normal|given in class|en horario de clase|pendant les cours|en classe\\b|in class\\b");

    static final Pattern NORMAL_FROM = of("(?:normal\\w*|regular|usual|" + CLASSES
            + ")[^.;]*?\\b(?:from|start(?:s|ing)? at|begin(?:s|ning)? at|ab|à partir de|a partir de(?: las)?|dès)\\s");

    /** There are no classes. */
    static final Pattern NO_CLASS = of(
            "no (?:\\w+ (?:or|and) \\w+ |day or evening |evening |scheduled |formal |regular )?(?:classes|class|school|lectures?|lessons|instruction|teaching|students?)\\b(?! except)"
                    + "|no (?:classes|class|lectures?|school|instruction|lessons|teaching) (?:after|from|until|before|between|at)"
                    + "|" + CLASSES + " (?:do|does|will) not (?:meet|be held|take place)|" + CLASSES
                    + "[^;:]{0,50}\\b(?:do|does|will) not meet"
                    + "|" + CLASSES + " (?:are |is |have been )?(?:cancel\\w*|suspended|paused?|dismissed|called off)"
                    + "|(?:college|university|school|institute|campus|district|schools|academy|offices? and classes)s? (?:is |are |will be )?closed|\\bclosed (?:for|to) (?:students|classes)|no attendance|students? (?:off|do not attend|not in attendance)|non-(?:instructional|student|attendance|teaching) (?:days?|weeks?|periods?)|student holiday|days? off|not in session|\\bclosed\\b"
                    + "|(?:lehrveranstaltungs|vorlesungs|unterrichts|schul|lv-)frei\\w*|(?:keine|entfallen|entfällt|kein) (?:lv|lvs|lehrveranstaltung\\w*|vorlesung\\w*|unterricht|schule)|(?:lv|lehrveranstaltungen|vorlesungen|unterricht) (?:entfallen|entfällt|fällt aus|fallen aus)|dies (?:academicus|ohne)|geschlossen"
                    + "|(?:pas|aucun|sans|point) (?:de |d'|)?(?:cours|classe|école)|cours (?:sont )?(?:suspendus?|annulés?|levés?)|suspension des cours|(?:établissement|collège|cégep|université|école|campus) fermée?s?|\\bcongé\\b|jours? fériés?|\\bférié\\b|\\bfermé\\b|relâche"
                    + "|(?:clases|labores|actividades) suspendidas|sin (?:clases|labores|actividades|alumnos)|no (?:hay|habrá) (?:clases|labores)|suspensi[óo]n(?: de)?(?: (?:clases|labores|actividades))?|d[ií]as? (?:inh[áa]bil(?:es)?|no lectivos?|festivos?|feriados?|de asueto)|no lectivos?|no laborables?|asueto|\\bfestivo\\b|\\bferiado\\b|cierre de la (?:universidad|escuela)|cerrad[oa]");

    /** Nothing but that there are none. */
    static final Pattern OFF_ALONE = Pattern.compile("^\\W*(?:off|frei)\\W*$", Pattern.UNICODE_CHARACTER_CLASS);

    static final Pattern BREAK = of(
            "\\b(?:recess|vacations?|half[- ]term|(?:spring|fall|autumn|winter|summer|mid-?(?:term|semester)|term|semester|thanksgiving|christmas|easter|holiday|study|quarter|inter-?semester|october|february|march|quarter|lunar new year) (?:break|pause|holidays?)|\\bbreak\\b"
                    + "|reading (?:week|days?)|study (?:week|days?)|review week|consolidation week|prep(?:aration)? days?)\\b"
                    + "|\\w*ferien\\b|brückentag|ferientag|(?:semester|winter|weihnachts|pfingst|oster|herbst|sommer|vorlesungs|lehr)pause|unterbrechung|vorlesungsfreie zeit|vacances|semaine (?:d['’]études?|de lecture|de relâche|de mise à jour)|journées? d['’]études?|pause (?:d['’]|de )\\w+|vacaciones|receso|semana santa|puente|descanso");

    private static final String STRONG_EN =
            "labou?r day|thanksgiving(?: day)?|m\\.? ?l\\.? ?k\\b\\.?(?: jr\\.?)?(?: day)?|m\\. ?l\\. king|martin luther king|memorial day|juneteenth|independence day|christmas(?: day| eve)?|new year'?s?(?: day| eve)?|good friday|easter monday|boxing day|victoria day|canada day|family day|truth and reconciliation|bank holiday|public holiday|statutory holiday|legal holiday|federal holiday|state holiday|national holiday|civic holiday|st\\.? (?:patrick|brigid|stephen|andrew|david)'?s?(?: day)?|may day|presidents'? day|president'?s day|washington'?s birthday|australia day|anzac day|waitangi day|king'?s birthday|queen'?s birthday|eid al-?\\w+|diwali|yom kippur|rosh hashanah?|lunar new year|\\bholidays?\\b";
    private static final String STRONG_DE =
            "\\w*feiertag|nationalfeiertag|tag der deutschen einheit|reformationstag|allerheiligen|allerseelen|mari(?:ä|ae) (?:empfängnis|himmelfahrt)|heilige drei könige|karfreitag|ostermontag|ostern|christi himmelfahrt|pfingstmontag|pfingsten|pfingstdienstag|fronleichnam|tag der arbeit|staatsfeiertag|neujahr|weihnachten|buß- und bettag|bundesfeier|stefanitag|berchtoldstag";
    private static final String STRONG_FR =
            "fête du travail|fête nationale|action de grâces?|vendredi saint|lundi de pâques|pâques|lundi de pentecôte|pentecôte|ascension|toussaint|armistice|victoire 1945|noël|jour de l['’]an|assomption|patriotes|saint-jean|fête du canada|jour férié";
    private static final String STRONG_ES =
            "d[ií]a del trabajo|d[ií]a de la independencia|d[ií]a de la constituci[óo]n|d[ií]a de la hispanidad|fiesta nacional|todos los santos|inmaculada|navidad|a[ñn]o nuevo|reyes|jueves santo|viernes santo|lunes de pascua|natalicio de benito ju[áa]rez|revoluci[óo]n mexicana|d[ií]a de los muertos|d[ií]a de muertos";

    /** A day on which schools are closed by custom or by law. */
    static final Pattern HOLIDAY =
            of("(?<![\\p{L}])(?:" + STRONG_EN + "|" + STRONG_DE + "|" + STRONG_FR + "|" + STRONG_ES + ")(?![\\p{L}])");

    /** A day with a name, on which some schools meet and some do not. */
    static final Pattern NAMED_DAY = of(
            "(?:veterans'? day|columbus day|indigenous peoples'? day|election day|remembrance day|founders?'? day|lincoln'?s birthday|c[ée]sar ch[áa]vez|patriots'? day|day of remembrance)"
                    + "|(?<![\\p{L}])(?:[\\p{L}'’.-]+ ){0,3}day(?![\\p{L}])(?! (?:to|of (?:classes|instruction|term)))|\\bjour(?:née)? (?:de|du|des|d['’])|\\bfête\\b|\\w*fest\\b|\\btag (?:der|des)\\b|\\bd[ií]a (?:de|del)\\b|\\bfiesta\\b|all s(?:aints|ouls)|batalla de|aniversario|\\bbatt?le of\\b|(?:parent|teacher)[- ]?(?:teacher|parent)? conferences?");

    static final Pattern STAFF = of(
            "in-?service|inset\\b|professional (?:development|learning|growth)|staff (?:development|training|days?|in-?service)|teacher (?:work ?days?|planning|in-?service|training)|\\bwork ?days?\\b|clerical day|faculty (?:development|retreat)|journées? pédagogiques?|pädagogische\\w* tag|schilf\\b|lehrerfortbildung|studientag|capacitaci[óo]n docente|consejo t[ée]cnico|jornada pedag[óo]gica|\\bpd day\\b|p\\.a\\. day|\\bpa day\\b");

    /** Nothing that a term's days ask for. */
    static final Pattern NOT_FOR_US = of(
            "add[/ -]drop|drop[/ -]add|last day to|deadline|due\\b|to (?:add|drop|withdraw|enrol)|withdraw\\w*|regist(?:er|rations?)|enrol?l?ment|tuition|\\bfees?\\b|payments?|refunds?|grades?\\b|report cards?|progress reports?|commencement|graduation|orientation|induction|welcome|residence|move-?in|advising|application|convocation|census|quarter ends|marking period|end (?:of )?(?:mp|quarter|semester|term)\\b|\\bmp ?\\d|(?:picture|photo|spirit|sports?|field|career|careers|college|activity|club|pajama|testing|test|psat|sat|ap|awards?|senior|class|game|pink shirt|health|science|book) (?:day|night|week|trip)|open (?:evening|house)|info(?:rmation)? (?:session|evening)|fair\\b|film|movie|concert|homecoming|gala|hack\\w*|tournament|game\\b|dance|prom\\b|assembly|auditions?|evaluations?|results?|conferring|exams?\\b|examinations?|finals?\\b|midterms?|quiet week|rag week|exhibition|quarter opens|check-?in|late-start|conferences? (?:day|evening)"
                    + "|frist\\b|\\w*frist|anmeld\\w*|einschreib\\w*|immatrikul\\w*|rückmeld\\w*|zulassung|pr(?:ü|ue)fung\\w*|klausur\\w*|orientierung\\w*|vorbereitungskurs\\w*|einführung\\w*|elternabend|elternsprech\\w*|karrieretag|tag der offenen t(?:ü|ue)r|zeugnis\\w*|absolvent\\w*|ball\\b|konzert|gremium|senatssitzung"
                    + "|date limite|inscriptions?|choix de cours|remise|épreuves?|évaluations?|examens?|salon|portes ouvertes|collation|accueil|fin de l['’]étape|étape|réunion|rencontre|soirée|spectacle|horaires"
                    + "|reinscripci[óo]n\\w*|inscripci[óo]n\\w*|altas y bajas|inducci[óo]n|ex[áa]men\\w*|evaluaci[óo]n\\w*|entrega|ceremonia|graduaci[óo]n|kerm[ée]s|festival|noche de|torneo|concierto|plazo|matr[íi]cula|pagos?|colegiaturas?|calificaciones|actas|junta");

    static final Pattern RESUME = of(
            CLASSES
                    + " (?:resume|recommence|reconvene|restart)\\w*|(?:schools?|lectures) (?:reopens?|recommence|resume)\\w*|return to (?:class|school)|back to school|wieder(?:beginn|aufnahme)\\b|(?:unterricht|vorlesungen?|lehrveranstaltungen) (?:beginnt|beginnen) wieder|reprise des (?:cours|classes)|retour en classe|reanudaci[óo]n|se reanudan|regreso a clases");

    static final Pattern FIRST = of(
            "(?<!late-start )(?<!half-term )\\b(?:classes|instruction|teaching|lectures|lessons) (?:begin|start|commence)s?\\b|first (?:student |instructional |teaching )?day (?:of|for) (?:\\w+ )?(?:classes|class|school|instruction|term|semester|students|teaching|lectures|grades|all)|first (?:student|instructional|teaching|class|school) day|(?:semester|term|quarter|school|session) \\d? ?(?:begins|starts|opens|commences)\\b"
                    + "|(?:beginn|start|anfang) (?:der|des) (?:lehrveranstaltungen|vorlesungen|vorlesungszeit|unterrichts|lehrbetriebs)|(?:vorlesungs|unterrichts|schul|lehrveranstaltungs)beginn|(?:lehrveranstaltungen|vorlesungen) beginnen|(?:erster|1\\.) (?:vorlesungs|unterrichts|schul)tag"
                    + "|d[ée]but des (?:cours|classes)|rentr[ée]e(?: des (?:classes|étudiants|élèves))?|premier jour (?:de|des) (?:cours|classes?)|inicio de (?:clases|cursos|labores acad[ée]micas|semestre)|comienzo de (?:las )?clases|primer d[ií]a de clases|inician? (?:las )?clases");

    static final Pattern LAST = of(
            "last (?:student |instructional |teaching )?day (?:of|for) (?:\\w+ )?(?:classes|class|school|instruction|lectures|students|teaching|term)|last (?:student|instructional|teaching|class) day|(?:classes|instruction|teaching|lectures) ends?\\b(?! (?:at|early|before|by)\\b)"
                    + "|letzte[rn]? (?:tag der (?:lehrveranstaltungen|vorlesungen)|(?:vorlesungs|unterrichts|schul)tag)|ende der (?:lehrveranstaltungen|vorlesungen|vorlesungszeit)|(?:vorlesungs|unterrichts|lehrveranstaltungs)(?:ende|schluss)\\b(?!\\s*(?:um|ab|:|,)?\\s*\\d{1,2}[:.h ])"
                    + "|dernier jour (?:de|des) (?:cours|classes?)|fin des (?:cours|classes)|fin de (?:clases|cursos)|[úu]ltimo d[ií]a de clases|terminan? (?:las )?clases");

    static final Pattern BREAK_BEGINS = of(
            "(?:break|recess|vacations?|half[- ]term|holidays?) (?:begins?|starts?|commences?)\\b|(?:beginn|anfang) der \\w*ferien|ferienbeginn|début (?:des vacances|de la (?:relâche|semaine))|(?:inicio|comienzo) de(?: las)? vacaciones");

    static final Pattern BREAK_ENDS = of(
            "(?:break|recess|vacations?|half[- ]term|holidays?) ends?\\b|ende der \\w*ferien|ferienende|fin (?:des vacances|de la relâche)|fin de(?: las)? vacaciones");

    /** A term ends, which is its last class where that is so known. */
    static final Pattern TERM_ENDS = of(
            "\\bend (?:of )?(?:the )?(?:\\w+ )?(?:semester|term|trimester|quarter)\\b|(?:semester|term|trimester|quarter) \\d? ?ends|semesterende|fin (?:de la session|du (?:\\w+ )?(?:semestre|trimestre))|fin del? (?:semestre|trimestre)");

    /** "Last day of classes before the break" ends nothing. */
    static final Pattern BEFORE_BREAK = of(
            "\\b(?:before|prior to|vor den|avant (?:les|la)|antes de)\\b[^.;]*(?:break|recess|vacation|holiday|ferien|vacances|relâche|vacaciones|semana santa|receso)|begins? after (?:the )?last class|after (?:the )?last class|nach der letzten");

    static final Pattern RESERVE = of(
            "(?:make-?up|snow|storm|emergency|weather)[^.;]{0,30}\\bdays?\\b[^.;]*(?:if (?:needed|necessary|required)|as needed|in this order)|(?:if|when) (?:needed|necessary)[^.;]*make-?up|may be used (?:to make up|as make-?up|for make-?up)|(?:reserved?|contingency|built-in|possible|potential) (?:snow |make-?up |weather |emergency )?(?:make-?up )?days?\\b|(?:snow|weather|emergency) (?:make-?up )?days?\\s*:|reserve(?:termin|tag)\\w*|ersatztermine? (?:bei bedarf|falls)|nachhol\\w* bei bedarf|bei bedarf|reprise de cours[^.;]*(?:au besoin|en cas|si nécessaire)|jours? (?:de )?reprise[^.;]*(?:besoin|cas)|au besoin|d[ií]as? de (?:reserva|contingencia)|(?:si es|en caso) (?:necesario|de ser necesario|de suspensi[óo]n)");

    /** Classes meet to make up for days lost. */
    static final Pattern MAKE_UP = of(
            "make-?up (?:day|classes|class)|makes? up for|classes (?:meet|held)|recuperaci[óo]n de clases|d[ií]a de recuperaci[óo]n|reprise (?:de|des) cours|journée de reprise|nachhol\\w*|ersatz(?:termin|tag|unterricht)|school (?:is )?in session|einarbeit\\w*|unterrichtstag|día laborable|clases el sábado|saturday classes|in session");

    static final Pattern EARLY = of(
            "early (?:release|dismissal|closing|closure)|half[- ]day|minimum day|(?:dismiss(?:al|ed)?|release) (?:at|from)|(?:schools?|classes|lectures|students?) (?:end|close|finish|dismissed|released)s? (?:at|early)|last class ends|(?:unterrichts|vorlesungs)(?:schluss|ende) (?:um|ab)?|ends? at|fin des cours à|sortie à|closes? (?:at )?(?=\\d)|(?:nur|only|seulement|s[óo]lo) (?:bis|until|jusqu|hasta)|(?:alumnos|estudiantes) (?:salen|se retiran)|(?:élèves|étudiants) (?:sortent|quittent)|students? (?:leave|go home|are dismissed)|salida (?:a las|anticipada)|(?:actividades|labores|clases|classes|school|unterricht|cours) (?:hasta|until|bis|jusqu)");

    static final Pattern LATE = of(
            "(?:late|delayed) (?:start|opening|arrival)|(?:starts?|begins?|opens?) (?:late|at)\\b|entrada a las|beginn (?:um|erst)|(?:unterricht|vorlesungen) (?:ab|erst)");

    static final Pattern MAYBE = of(
            "\\b(?:may(?= (?!day|bank|holiday|break)\\w)|might|possibl[ey]|perhaps|tentative\\w*|optional|to be (?:confirmed|determined|announced)|tbd|tba|tbc|at the discretion|by department|some|selected|if \\w+|pending|subject to)\\b|voraussichtlich|\\bggf\\b|\\bevtl\\b|eventuell|nach ermessen|möglicherweise|éventuel\\w*|possible\\w*|à confirmer|peut|peuvent|à la discrétion|por confirmar|posible\\w*|podr[áa]n?\\b|a criterio");

    static final Pattern AFTERNOON = of("\\b(?:afternoon|nachmittag\\w*|après-midi|(?:por la|de la) tarde)\\b");

    static final Pattern EVENING =
            of("(?<!day or )\\bevenings?\\b|\\babend(?:s|veranstaltungen)?\\b|\\bsoir\\b|\\bnocturn\\w+");

    static final Pattern CANCELS = of("\\b(?:cancel\\w*|suspen\\w*|entfallen|annul\\w*)\\b");

    static final Pattern TEACHES = of(
            "teaching (?:weeks?|wks?)|(?:lecture|class|instruction(?:al)?) (?:weeks?|period)|(?:vorlesungs|unterrichts|lehrveranstaltungs)zeit|semaines? de cours|période de cours|semanas? de clases|per[ií]odo de clases|weeks? \\d+ ?- ?\\d+");

    /** Hours that other words say are those without classes. */
    static final Pattern THEN = of(
            "in this (?:block|period|time)|during (?:this|these|that|the)|at (?:this|that|these) times?|in dieser zeit|während|pendant|durante");

    /** Words over lines whose days are off unless they say otherwise. */
    static final Pattern HEADING_OFF = of(
            "holidays?\\b|non-?(?:instruction|teaching|class|student)|no (?:school|class)|days? off|closures|recess|vacations|\\bferien\\b|feiertage|(?:unterrichts|vorlesungs|schul|lehrveranstaltungs)freie?|congés|jours fériés|vacances|d[ií]as? (?:inh[áa]biles|festivos|no lectivos|feriados)|suspensi[óo]n|vacaciones|asuetos");

    static final Pattern FOOTER = Pattern.compile(
            "^\\W*(?:rev(?:ised|ision|\\.)?\\b|stand\\b|(?:last )?(?:revised|modified|updated|printed|changed)|calendar (?:approved|adopted|revised)|printed from|version|approved|adopted|(?:board|senate|council|faculty) (?:approved|adopted)|adopt[ée]e?\\b|aprobado|actualizad[oa]|mise à jour|aktualisiert|beschlossen|änderungen vorbehalten|(?:calendar |dates )?subject to (?:change|modification)|sujet à|sujeto a|fechas sujetas|beschluss|©|page \\d)",
            Pattern.UNICODE_CHARACTER_CLASS);

    private static final String WD = "(" + DayWords.WEEKDAY.replaceFirst("\\(", "(?:") + ")";
    private static final Pattern RUNS_AS = of(
            "(?:follow(?:s|ing)?|run(?:s|ning)?|operat(?:es?|ing)|treated|counts)\\s+(?:as\\s+|like\\s+)?(?:an?\\s+|the\\s+|if it were (?:an?\\s+)?)?"
                    + WD + "(?!\\s*,?\\s*\\d)(?:'s)?"
                    + "|" + WD
                    + "(?:'s)?\\s+(?:class\\s+)?(?:schedule|timetable|(?:classes|lectures|lessons) (?:meet|will meet|are held|held|will be held|take place)|meeting pattern|instruction|calendar in effect)"
                    + "|(?:nach|wie|laut|es gilt(?: der)?)\\s+(?:dem\\s+|ein\\s+)?" + WD
                    + "|(montags|dienstags|mittwochs|donnerstags|freitags|samstags)(?:stunden)?plan|(?:stunden)?plan (?:von |vom |des )?"
                    + WD
                    + "|horaire (?:du|d['’]un|de) " + WD + "|comme (?:un |le )?" + WD
                    + "|horario del? " + WD + "|como (?:un |el )?" + WD);

    private CalendarWords() {}

    /** Words in small letters, from where one begins: what is not looked for in the middle of each is found in a fifth of the time. */
    private static Pattern of(String regex) {
        return Pattern.compile("\\b(?:" + regex + ")", Pattern.UNICODE_CHARACTER_CLASS);
    }

    static boolean has(Pattern pattern, String words) {
        return pattern.matcher(small(words)).find();
    }

    /** In small letters, each in its place. */
    static String small(String words) {
        String small = words.toLowerCase(Locale.ROOT);
        return small.length() == words.length() ? small : words;
    }

    /** Whether words leave it open that there are no classes: in the part that says so, where one does. */
    static boolean maybe(String words) {
        String[] parts = words.split("[;:()]|\\. |, | - ");
        boolean said = false;
        for (String part : parts) {
            boolean off = has(NO_CLASS, part) || has(BREAK, part) || has(HOLIDAY, part) || has(CANCELS, part);
            if (off && has(MAYBE, part)) {
                return true;
            }
            said |= off;
        }
        return !said && has(MAYBE, words);
    }

    /** The weekday whose timetable is used; empty where none is said. */
    static Optional<DayOfWeek> runsAs(String words) {
        Matcher m = RUNS_AS.matcher(small(words));
        while (m.find()) {
            for (int group = 1; group <= m.groupCount(); group++) {
                String word = m.group(group);
                if (word != null) {
                    return Optional.ofNullable(Days.weekday(word.toLowerCase(Locale.ROOT)
                            .replaceFirst("(tag)s$", "$1")
                            .replaceFirst("^mittwochs$", "mittwoch")));
                }
            }
        }
        return Optional.empty();
    }
}
