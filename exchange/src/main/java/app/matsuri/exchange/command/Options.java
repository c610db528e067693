package app.matsuri.exchange.command;

import app.matsuri.core.calendar.Known;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a command was given: a file, then options with or without a value.
 *
 * @param given by name, the value of each option; empty for one without
 */
public record Options(String file, Map<String, String> given) {

    /**
     * Reads arguments.
     *
     * @param values options that take a value
     * @param flags options that take none
     * @throws IllegalArgumentException for one that is not known, given twice or lacks its value, or where the file is missing
     */
    static Options of(String[] arguments, List<String> values, List<String> flags) {
        if (arguments.length == 0 || arguments[0].startsWith("--")) {
            throw new IllegalArgumentException("Give a file first.");
        }
        Map<String, String> given = new LinkedHashMap<>();
        for (int i = 1; i < arguments.length; i++) {
            String name = arguments[i];
            boolean value = values.contains(name);
            if (!value && !flags.contains(name) || given.containsKey(name) || value && i + 1 >= arguments.length) {
                throw new IllegalArgumentException("“" + name + "” is not understood.");
            }
            given.put(name, value ? arguments[++i] : "");
        }
        return new Options(arguments[0], given);
    }

    boolean has(String option) {
        return given.containsKey(option);
    }

    /** The value of an option; null where it was not given. */
    @Nullable
    String text(String option) {
        return given.get(option);
    }

    /**
     * The value of an option that was asked for with {@link #needing} or {@link #has}.
     *
     * @throws IllegalStateException where it was not given
     */
    String needed(String option) {
        return Known.in(given, option);
    }

    /**
     * The day that an option gives; null where it was not given.
     *
     * @throws IllegalArgumentException where it is no date
     */
    @Nullable
    LocalDate date(String option) {
        String text = given.get(option);
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("“" + text + "” is no date such as 2026-10-09.", e);
        }
    }

    /** The same with options that must be there. */
    Options needing(String... options) {
        for (String option : options) {
            if (!has(option)) {
                throw new IllegalArgumentException("Give " + option + " and what it needs.");
            }
        }
        return this;
    }
}
