package app.matsuri.server.mail;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where mail goes.
 *
 * @param host of the mail server; null while mail is simulated
 * @param username null where the server asks for none
 * @param from whom it is from
 * @param address where Matsuri is to be reached, such as "https://matsuri.example", for links in mails that nobody asked for; where it is
 *     not set, "http://localhost" with the server's port
 */
@ConfigurationProperties("matsuri.mail")
record MailSettings(
        @Nullable String host,
        @DefaultValue("587") int port,
        @Nullable String username,
        @Nullable String password,
        @DefaultValue("matsuri@localhost") String from,
        @Nullable String address) {}
