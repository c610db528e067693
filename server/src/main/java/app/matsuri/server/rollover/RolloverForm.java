package app.matsuri.server.rollover;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A rollover as it is asked for.
 *
 * @param from id of the term that it comes from; null for a file
 * @param source id of a file that was read; null for a term
 * @param to id of the term that it goes into; null for a new one
 * @param term the new one; null for one that is there
 * @param by "class", "week", "teaching-week", "days=141" or "rule"
 */
record RolloverForm(
        @Nullable Long from,
        @Size(max = 100) @Nullable String source,
        @Nullable Long to,
        @Valid @Nullable NewTerm term,
        @NotNull @Size(min = 1, max = 50) List<@Size(max = 1000) String> courses,
        @NotNull @Size(max = 1000) List<String> units,
        @NotNull @Size(max = 30) String by,
        @NotNull @Size(max = 5000) List<@Valid TakenDate> taken,
        boolean fit,
        boolean again) {

    /**
     * A term to be made.
     *
     * @param country code of the country whose public holidays are days off; empty for none
     * @param region of it; may be empty
     * @param without days among those that are none
     */
    record NewTerm(
            @NotNull @Size(max = 200) String name,
            @NotNull LocalDate first,
            @NotNull LocalDate last,
            @NotNull @Size(max = 10) String country,
            @NotNull @Size(max = 20) String region,
            @NotNull @Size(max = 400) List<LocalDate> without) {}

    /** Something that waited for a hand and was given a date. */
    record TakenDate(
            @NotNull String course,
            @NotNull String what,
            @NotNull String id,
            @NotNull LocalDateTime at) {}
}
