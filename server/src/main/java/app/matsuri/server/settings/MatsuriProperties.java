package app.matsuri.server.settings;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How this server is run.
 *
 * @param demo folder with the demo's plan files; null for real use
 * @param today the day that counts as today; null for the real one
 * @param data the folder of the database and of what lies beside it
 * @param keepCopies how many daily copies of the data are kept; 0 for none
 * @param firstCode the code with which the first account is made; null for one that the start makes up and prints
 * @param passwordStrength how much work it is to try a password, 4 to 31: each step doubles it
 * @param mostAccounts how many accounts there may be, without closed ones
 */
@ConfigurationProperties("matsuri")
public record MatsuriProperties(
        @Nullable String demo,
        @Nullable LocalDate today,
        @DefaultValue("data") String data,
        @DefaultValue("7") int keepCopies,
        @Nullable String firstCode,
        @DefaultValue("10") int passwordStrength,
        @DefaultValue("20000") int mostAccounts) {}
