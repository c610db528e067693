package app.matsuri.server.settings;

import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Where people sign in instead of here, by OpenID Connect.
 *
 * @param issuer the provider's address, below which it describes itself; null for none
 * @param clientId what this server is called there
 * @param clientSecret what this server shows it
 * @param name what the provider is called on the sign-in page
 * @param newAccounts whose first sign-in makes an account
 */
@ConfigurationProperties("matsuri.openid")
public record OpenIdProperties(
        @Nullable String issuer,
        @DefaultValue("matsuri") String clientId,
        @DefaultValue("") String clientSecret,
        @DefaultValue("your institution") String name,
        @DefaultValue("nobody") NewAccounts newAccounts) {

    /** Whose first sign-in makes an account. */
    public enum NewAccounts {
        /** Whoever has none here is sent away; people connect the account that they have. */
        NOBODY,
        /** Everybody; they make no terms of their own. */
        GUESTS,
        /** Everybody; they make terms of their own. */
        TEACHERS
    }
}
