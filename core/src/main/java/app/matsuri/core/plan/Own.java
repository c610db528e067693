package app.matsuri.core.plan;

import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * What is said of something apart from the plan: that it is another, that there is none, or nothing, so that it is as
 * planned. Said of dates and of pins.
 */
public sealed interface Own<T> {

    /** It is another. */
    record Other<T>(T is) implements Own<T> {

        public Other {
            Objects.requireNonNull(is, "is");
        }

        @Override
        public <R> R on(Cases<T, R> cases) {
            return cases.other(is);
        }

        @Override
        public T over(@Nullable T planned) {
            return is;
        }
    }

    /** There is none. */
    record None<T>() implements Own<T> {

        @Override
        public <R> R on(Cases<T, R> cases) {
            return cases.none();
        }

        @Override
        public @Nullable T over(@Nullable T planned) {
            return null;
        }
    }

    /** Nothing is said: it is as planned. */
    record AsPlanned<T>() implements Own<T> {

        @Override
        public <R> R on(Cases<T, R> cases) {
            return cases.asPlanned();
        }

        @Override
        public boolean planned() {
            return true;
        }

        @Override
        public @Nullable T over(@Nullable T planned) {
            return planned;
        }
    }

    /** What is done with each. */
    interface Cases<T, R> {

        R other(T is);

        R none();

        R asPlanned();
    }

    /** Does what is to be done with this one. */
    <R> R on(Cases<T, R> cases);

    /** It is another. */
    static <T> Own<T> other(T is) {
        return new Other<>(is);
    }

    /** There is none. */
    static <T> Own<T> none() {
        return new None<>();
    }

    /** It is as planned. */
    static <T> Own<T> asPlanned() {
        return new AsPlanned<>();
    }

    /** Another, or that there is none where it is null. */
    static <T> Own<T> of(@Nullable T is) {
        return is == null ? none() : new Other<>(is);
    }

    /** Whether nothing is said. */
    default boolean planned() {
        return false;
    }

    /** What holds then: its own, or what is planned; null for none. */
    @Nullable
    T over(@Nullable T planned);

    /** What is said, if it is another. */
    default Optional<T> said() {
        return Optional.ofNullable(over(null));
    }

    /** The same with another in place of what is said. */
    default Own<T> with(UnaryOperator<T> other) {
        return said().map(is -> Own.other(other.apply(is))).orElse(this);
    }
}
