package app.matsuri.core.change.plan;

import app.matsuri.core.calendar.Say;
import app.matsuri.core.change.Change;
import app.matsuri.core.change.Find;
import app.matsuri.core.change.Refused;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.core.plan.Item;
import java.util.ArrayList;
import java.util.List;

/**
 * Gives units or work out, or makes them drafts. Drafts are planned like everything else and not told to students; what they were told
 * before stays until they are told again.
 *
 * @param units ids
 * @param items ids
 * @param draft false gives them out
 */
public record SetDraft(String course, List<String> units, List<String> items, boolean draft) implements Change {

    public SetDraft {
        units = List.copyOf(units);
        items = List.copyOf(items);
    }

    @Override
    public Outcome apply(Decisions before) {
        if (units.isEmpty() && items.isEmpty()) {
            throw new Refused("Say which units or work to " + (draft ? "make drafts" : "give out")
                    + ": “units” and “items” are empty.");
        }
        Course in = Find.course(before, course);
        for (String id : units) {
            in = in.withUnit(Find.unit(before, course, id).asDraft(draft));
        }
        for (String id : items) {
            Item item = Find.item(before, course, id);
            in = in.withItem(item.withDetails(item.details().draft(draft)));
        }
        return Outcome.of(before.withCourse(in));
    }

    @Override
    public String sentence(Decisions before) {
        List<String> titles = new ArrayList<>();
        units.forEach(id -> titles.add(Find.unit(before, course, id).title()));
        items.forEach(id -> titles.add(Find.item(before, course, id).title()));
        String what = titles.size() == 1 ? "“" + titles.get(0) + "”" : Say.count(titles.size(), "thing");
        return draft ? "Make " + what + (titles.size() == 1 ? " a draft" : " drafts") : "Give out " + what;
    }
}
