package app.matsuri.core.shown;

import app.matsuri.core.plan.Link;
import java.util.List;

/**
 * A unit that has begun, with what it has to open.
 *
 * @param code short code shown with its thread
 * @param colour the name of its colour; empty for the next in turn
 * @param number its place in the course, from 0
 * @param materials of the unit itself, of its lessons and of its work that has opened, in the order of the plan; those without any are left out
 */
public record ShownUnit(String id, String code, String title, String colour, int number, List<Material> materials) {

    /**
     * The links and files of the unit itself, of a lesson or of work.
     *
     * @param title of the lesson or work; empty for the unit itself
     */
    public record Material(String title, List<Link> links, List<ShownFile> files) {

        public Material {
            links = List.copyOf(links);
            files = List.copyOf(files);
        }

        boolean any() {
            return !links.isEmpty() || !files.isEmpty();
        }
    }

    public ShownUnit {
        materials = List.copyOf(materials);
    }
}
