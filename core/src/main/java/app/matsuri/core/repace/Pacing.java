package app.matsuri.core.repace;

import java.util.List;

/**
 * Where the lessons of a stretch fall.
 *
 * @param places one for each lesson, in order
 */
public record Pacing(List<Place> places) {

    /** What became of a lesson. */
    public enum Kind {
        /** It takes sessions of its own. */
        PLACED,
        /** It shares the last session of the lesson before it. */
        JOINED,
        /** It is left out, or its reserve given up. */
        LEFT_OUT,
        /** It finds no room. */
        NO_ROOM
    }

    /**
     * Where one lesson falls.
     *
     * @param first the first slot that it takes; -1 where it takes none
     * @param length how many it takes, of some by minutes a part; 0 where it takes none
     * @param given the length that the lesson has there, in sessions of its own or as many times the usual minutes; one that
     *     is joined has 1, one that takes none 0
     * @param used minutes of its first slot that are gone before it begins; 0 where it begins with it
     */
    public record Place(Kind kind, int first, int length, int given, int used) {

        static final Place LEFT_OUT = new Place(Kind.LEFT_OUT, -1, 0, 0, 0);
        static final Place NO_ROOM = new Place(Kind.NO_ROOM, -1, 0, 0, 0);

        /** A lesson that takes whole sessions. */
        public static Place of(int first, int length) {
            return new Place(Kind.PLACED, first, length, length, 0);
        }

        /** A lesson that shares a slot with the one before it. */
        public static Place joined(int slot) {
            return new Place(Kind.JOINED, slot, 1, 1, 0);
        }

        public boolean placed() {
            return kind == Kind.PLACED || kind == Kind.JOINED;
        }

        /** The last slot that it takes; -1 where it takes none. */
        public int last() {
            return placed() ? first + length - 1 : -1;
        }
    }

    public Pacing {
        places = List.copyOf(places);
    }
}
