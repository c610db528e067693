package app.matsuri.exchange.words;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.plan.Reminder;
import app.matsuri.core.plan.Reminder.Before;
import app.matsuri.core.plan.Reminder.Lead;
import app.matsuri.core.plan.Reminder.Whom;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The reminders of one piece of work in a cell: "the day before at 09:00", "30 min before, in feeds", "closes: 2 days before at 08:00;
 * 1 hour before, by mail", "none"; an empty cell is what the course does.
 */
public final class ReminderWords {

    private static final Pattern NONE = Pattern.compile("(?i)none|no reminders?|never|-");
    private static final Pattern BEFORE = Pattern.compile("(?i)^(opens|due|closes)\\s*:\\s*");
    private static final Pattern DAYS = Pattern.compile(
            "(?i)(?:(the|a|an|\\d{1,2})\\s+days?\\s+before|(that|same)\\s+day)(?:,?\\s+(?:at\\s+)?(.+))?");
    private static final Pattern ELAPSED =
            Pattern.compile("(?i)(a|an|\\d{1,5})\\s*(min(?:ute)?s?|h(?:ours?)?)(?:\\s+before)?");
    private static final Pattern BY = Pattern.compile("(?i)[,\\s]+(by mail|in feeds|to me|by mail and in feeds)\\s*$");

    private ReminderWords() {}

    /** The reminders as a cell says them; empty for none of its own. */
    public static String say(List<Reminder> own) {
        if (!own.isEmpty() && own.stream().noneMatch(r -> r.mail() || r.feed())) {
            return "none";
        }
        return own.stream()
                .filter(r -> r.mail() || r.feed())
                .map(ReminderWords::one)
                .collect(Collectors.joining("; "));
    }

    private static String one(Reminder reminder) {
        String before =
                reminder.before() == Before.DUE ? "" : reminder.before().name().toLowerCase(Locale.ROOT) + ": ";
        String by = reminder.mail() && reminder.feed() ? "" : reminder.mail() ? ", by mail" : ", in feeds";
        return before + lead(reminder.lead()) + by + (reminder.to() == Whom.INSTRUCTOR ? ", to me" : "");
    }

    /** "the day before at 09:00", "2 hours before". */
    public static String lead(Lead lead) {
        LocalTime at = lead.at();
        if (at == null) {
            int minutes = lead.minutes();
            boolean hours = minutes > 0 && minutes % 60 == 0;
            return hours ? Say.count(minutes / 60, "hour") + " before" : minutes + " min before";
        }
        String day = lead.days() == 0 ? "that day" : lead.days() == 1 ? "the day before" : lead.days() + " days before";
        return day + " at " + Say.time(at);
    }

    /**
     * The reminders that a cell says.
     *
     * @param item id of the work
     * @return empty where a part of it is not understood
     */
    public static Optional<List<Reminder>> read(String cell, String item) {
        String text = cell.strip();
        if (text.isEmpty()) {
            return Optional.of(List.of());
        }
        if (NONE.matcher(text).matches()) {
            return Optional.of(List.of(reminder(item, 1, Before.DUE, Lead.minutes(0), false, false, Whom.STUDENTS)));
        }
        List<Reminder> all = new ArrayList<>();
        for (String part : text.split("\\s*;\\s*", -1)) {
            Optional<Reminder> one = one(part.strip(), item, all.size() + 1);
            if (one.isEmpty()) {
                return Optional.empty();
            }
            all.add(one.get());
        }
        return Optional.of(all);
    }

    private static Optional<Reminder> one(String given, String item, int number) {
        String text = given;
        Before before = Before.DUE;
        Matcher m = BEFORE.matcher(text);
        if (m.find()) {
            before = Before.valueOf(m.group(1).toUpperCase(Locale.ROOT));
            text = text.substring(m.end());
        }
        boolean mail = false;
        boolean feed = false;
        Whom to = Whom.STUDENTS;
        for (m = BY.matcher(text); m.find(); m = BY.matcher(text)) {
            String by = m.group(1).toLowerCase(Locale.ROOT);
            mail |= by.contains("mail");
            feed |= by.contains("feeds");
            to = by.equals("to me") ? Whom.INSTRUCTOR : to;
            text = text.substring(0, m.start());
        }
        boolean both = !mail && !feed;
        Before which = before;
        boolean byMail = mail || both;
        boolean inFeeds = feed || both;
        Whom whom = to;
        return leadOf(text.strip()).map(lead -> reminder(item, number, which, lead, byMail, inFeeds, whom));
    }

    private static Reminder reminder(
            String item, int number, Before before, Lead lead, boolean mail, boolean feed, Whom to) {
        return new Reminder("own-" + item + "-" + number, List.of(), item, false, before, lead, to, mail, feed);
    }

    private static Optional<Lead> leadOf(String text) {
        Matcher days = DAYS.matcher(text);
        if (days.matches()) {
            int n = days.group(2) != null ? 0 : number(days.group(1));
            Optional<LocalTime> at =
                    days.group(3) == null ? Optional.of(LocalTime.of(9, 0)) : TimeWords.field(days.group(3));
            return n > Lead.MOST_DAYS ? Optional.empty() : at.map(time -> Lead.days(n, time));
        }
        Matcher elapsed = ELAPSED.matcher(text);
        if (elapsed.matches()) {
            boolean hours = elapsed.group(2).toLowerCase(Locale.ROOT).startsWith("h");
            int minutes = number(elapsed.group(1)) * (hours ? 60 : 1);
            return minutes > Lead.MOST_DAYS * 24 * 60 ? Optional.empty() : Optional.of(Lead.minutes(minutes));
        }
        return Optional.empty();
    }

    private static int number(String word) {
        return word.matches("\\d+") ? Integer.parseInt(word) : 1;
    }
}
