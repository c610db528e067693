package app.matsuri.exchange.change;

import app.matsuri.core.calendar.Known;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Together;
import app.matsuri.core.change.calendar.AddClosure;
import app.matsuri.core.change.calendar.MarkDays;
import app.matsuri.core.change.calendar.PutClosure;
import app.matsuri.core.change.calendar.RemoveClosure;
import app.matsuri.core.change.calendar.SetFirstPlanDay;
import app.matsuri.core.change.calendar.SetRotation;
import app.matsuri.core.change.calendar.SetTerm;
import app.matsuri.core.change.dates.DateUnit;
import app.matsuri.core.change.dates.Move;
import app.matsuri.core.change.dates.OrderDay;
import app.matsuri.core.change.dates.PutAdjustment;
import app.matsuri.core.change.dates.PutDates;
import app.matsuri.core.change.dates.Redate;
import app.matsuri.core.change.dates.Shift;
import app.matsuri.core.change.hours.ChangeSlots;
import app.matsuri.core.change.hours.PutOfficeHours;
import app.matsuri.core.change.hours.RemoveOfficeHours;
import app.matsuri.core.change.notice.ArrangeNotice;
import app.matsuri.core.change.notice.ChangeNoticeSeries;
import app.matsuri.core.change.notice.MoveNotice;
import app.matsuri.core.change.notice.PutDayNote;
import app.matsuri.core.change.notice.PutNotice;
import app.matsuri.core.change.notice.PutRhythm;
import app.matsuri.core.change.notice.PutWeekNote;
import app.matsuri.core.change.notice.RemoveNotice;
import app.matsuri.core.change.notice.RemoveRhythm;
import app.matsuri.core.change.pace.BeginMidWeek;
import app.matsuri.core.change.pace.HoldEmpty;
import app.matsuri.core.change.pace.Join;
import app.matsuri.core.change.pace.LeaveOut;
import app.matsuri.core.change.pace.Pin;
import app.matsuri.core.change.pace.RecordHeld;
import app.matsuri.core.change.pace.RecordTaught;
import app.matsuri.core.change.pace.RemoveRecord;
import app.matsuri.core.change.pace.SetGap;
import app.matsuri.core.change.pace.SetLength;
import app.matsuri.core.change.plan.ArrangeItems;
import app.matsuri.core.change.plan.ArrangeLessons;
import app.matsuri.core.change.plan.ArrangeUnit;
import app.matsuri.core.change.plan.BringCourses;
import app.matsuri.core.change.plan.LeaveShared;
import app.matsuri.core.change.plan.PutCourse;
import app.matsuri.core.change.plan.PutItem;
import app.matsuri.core.change.plan.PutLesson;
import app.matsuri.core.change.plan.PutReminders;
import app.matsuri.core.change.plan.PutUnit;
import app.matsuri.core.change.plan.RememberPace;
import app.matsuri.core.change.plan.RemoveCourse;
import app.matsuri.core.change.plan.RemoveItem;
import app.matsuri.core.change.plan.RemoveLesson;
import app.matsuri.core.change.plan.RemoveUnit;
import app.matsuri.core.change.plan.SetDraft;
import app.matsuri.core.change.plan.SetPublishing;
import app.matsuri.core.change.plan.SetWeights;
import app.matsuri.core.change.section.ChangeSeries;
import app.matsuri.core.change.section.ChangeSession;
import app.matsuri.core.change.section.PutRoster;
import app.matsuri.core.change.section.PutSection;
import app.matsuri.core.change.section.PutSessionLinks;
import app.matsuri.core.change.section.RemoveSection;
import app.matsuri.core.change.section.RestoreSession;
import app.matsuri.core.change.section.Tell;
import app.matsuri.exchange.plan.In;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Every kind of change by its name, with what may be left out of it. A further kind is added here, in one line. */
final class ChangeKinds {

    /** The most changes in one step. */
    private static final int MOST_TOGETHER = 5_000;

    private static final Map<String, ChangeKind> BY_NAME = new LinkedHashMap<>();
    private static final Map<Class<? extends Change>, ChangeKind> BY_TYPE = new LinkedHashMap<>();

    static {
        Stream.of(
                        ChangeKind.of("add-closure", AddClosure.class),
                        ChangeKind.of("remove-closure", RemoveClosure.class).as("last", "first"),
                        ChangeKind.of("set-term", SetTerm.class),
                        ChangeKind.of("put-course", PutCourse.class),
                        ChangeKind.of("remove-course", RemoveCourse.class),
                        ChangeKind.of("put-section", PutSection.class),
                        ChangeKind.of("remove-section", RemoveSection.class),
                        ChangeKind.of("put-unit", PutUnit.class),
                        ChangeKind.of("remove-unit", RemoveUnit.class),
                        ChangeKind.of("put-lesson", PutLesson.class),
                        ChangeKind.of("remove-lesson", RemoveLesson.class),
                        ChangeKind.of("put-item", PutItem.class),
                        ChangeKind.of("remove-item", RemoveItem.class),
                        ChangeKind.of("leave-shared", LeaveShared.class),
                        ChangeKind.of("arrange-items", ArrangeItems.class)
                                .filled("items", "Say which items to put elsewhere: “items” is empty."),
                        ChangeKind.of("date-unit", DateUnit.class),
                        ChangeKind.of("arrange-lessons", ArrangeLessons.class)
                                .filled("lessons", "Say which lessons to put elsewhere: “lessons” is empty."),
                        ChangeKind.of("arrange-unit", ArrangeUnit.class),
                        ChangeKind.of("put-session-links", PutSessionLinks.class),
                        ChangeKind.of("set-draft", SetDraft.class),
                        ChangeKind.of("order-day", OrderDay.class)
                                .filled("items", "Say which items, in order: “items” is empty."),
                        ChangeKind.of("put-dates", PutDates.class)
                                .filled("entries", "There are no dates to change: “entries” is empty."),
                        ChangeKind.of("put-adjustment", PutAdjustment.class),
                        ChangeKind.of("redate", Redate.class)
                                .filled("items", "Say which items change: “items” is empty.")
                                .filled("dates", "Say which dates change: opens, due or closes.")
                                .spread("how"),
                        ChangeKind.of("put-notice", PutNotice.class),
                        ChangeKind.of("remove-notice", RemoveNotice.class),
                        ChangeKind.of("move-notice", MoveNotice.class),
                        ChangeKind.of("arrange-notice", ArrangeNotice.class),
                        ChangeKind.of("change-notice-series", ChangeNoticeSeries.class),
                        ChangeKind.of("put-rhythm", PutRhythm.class),
                        ChangeKind.of("remove-rhythm", RemoveRhythm.class),
                        ChangeKind.of("put-day-note", PutDayNote.class),
                        ChangeKind.of("put-week-note", PutWeekNote.class),
                        ChangeKind.of("remember-pace", RememberPace.class),
                        ChangeKind.of("bring-courses", BringCourses.class)
                                .otherwise("does", "Bring courses")
                                .filled("courses", "There are no courses to bring: “courses” is empty."),
                        ChangeKind.of("tell", Tell.class).otherwise("why", ""),
                        ChangeKind.of("set-weights", SetWeights.class),
                        ChangeKind.of("set-publishing", SetPublishing.class),
                        ChangeKind.of("put-reminders", PutReminders.class),
                        ChangeKind.of("put-office-hours", PutOfficeHours.class),
                        ChangeKind.of("remove-office-hours", RemoveOfficeHours.class),
                        ChangeKind.of("change-slots", ChangeSlots.class)
                                .least("minutes", 5)
                                .otherwise("reach", ChangeSlots.Reach.SLOT),
                        ChangeKind.of("shift", Shift.class)
                                .least("week", 1)
                                .least("by", -1000)
                                .otherwise("in", Shift.In.SESSIONS)
                                .check(ChangeKinds::somethingShifts),
                        ChangeKind.of("move", Move.class)
                                .word("place", "first", "last")
                                .otherwise("place", "last"),
                        ChangeKind.of("pin", Pin.class),
                        ChangeKind.of("record-taught", RecordTaught.class).otherwise("note", ""),
                        ChangeKind.of("record-held", RecordHeld.class),
                        ChangeKind.of("remove-record", RemoveRecord.class),
                        ChangeKind.of("hold-empty", HoldEmpty.class).otherwise("hold", true),
                        ChangeKind.of("leave-out", LeaveOut.class).otherwise("leave", true),
                        ChangeKind.of("set-length", SetLength.class).least("length", 1),
                        ChangeKind.of("join", Join.class).otherwise("join", true),
                        ChangeKind.of("set-gap", SetGap.class).least("empty", 0),
                        ChangeKind.of("begin-mid-week", BeginMidWeek.class).otherwise("anyDay", true),
                        ChangeKind.of("change-session", ChangeSession.class),
                        ChangeKind.of("restore-session", RestoreSession.class),
                        ChangeKind.of("change-series", ChangeSeries.class).least("pattern", 0),
                        ChangeKind.of("put-closure", PutClosure.class)
                                .as("last", "first")
                                .otherwise("reason", ""),
                        ChangeKind.of("mark-days", MarkDays.class)
                                .as("last", "first")
                                .check(ChangeKinds::asWhichWeekday),
                        ChangeKind.of("first-plan-day", SetFirstPlanDay.class),
                        ChangeKind.of("set-rotation", SetRotation.class),
                        ChangeKind.of("put-roster", PutRoster.class),
                        ChangeKind.of("together", Together.class)
                                .otherwise("does", "")
                                .check(ChangeKinds::notTooMany))
                .forEach(kind -> {
                    BY_NAME.put(kind.name(), kind);
                    BY_TYPE.put(kind.type(), kind);
                });
    }

    private ChangeKinds() {}

    /** The kind by its name; null for none. */
    static @Nullable ChangeKind named(String name) {
        return BY_NAME.get(name);
    }

    static List<String> names() {
        return List.copyOf(BY_NAME.keySet());
    }

    static Iterable<ChangeKind> all() {
        return BY_NAME.values();
    }

    /**
     * The kind of a change.
     *
     * @throws IllegalStateException where it stands in no line above
     */
    static ChangeKind of(Class<? extends Change> type) {
        ChangeKind kind = BY_TYPE.get(type);
        if (kind == null) {
            throw new IllegalStateException(type + " has no name as JSON");
        }
        return kind;
    }

    private static void somethingShifts(In in, Map<String, Object> shift) {
        boolean nothing =
                Stream.of("lessons", "items", "unit", "week", "from").allMatch(field -> Value.empty(shift.get(field)));
        if (nothing) {
            in.faults().fatal(in.pointer(), "Say what to move: lessons, items, unit, week or from.");
        }
    }

    private static void asWhichWeekday(In in, Map<String, Object> mark) {
        if (mark.get("as") == MarkDays.Mark.RUNS_AS && mark.get("weekday") == null) {
            in.faults().fatal(in.pointer(), "“weekday” is missing: say as which weekday the day runs.");
        }
    }

    private static void notTooMany(In in, Map<String, Object> together) {
        int n = ((List<?>) Known.in(together, "changes")).size();
        if (n == 0 || n > MOST_TOGETHER) {
            in.faults().fatal(in.pointer(), "Give 1 to " + MOST_TOGETHER + " changes.");
        }
    }
}
