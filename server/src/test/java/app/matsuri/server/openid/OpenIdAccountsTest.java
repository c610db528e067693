package app.matsuri.server.openid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.matsuri.server.account.Accounts;
import app.matsuri.server.account.SignedIn;
import app.matsuri.server.settings.OpenIdProperties;
import app.matsuri.server.settings.OpenIdProperties.NewAccounts;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.security.oauth2.core.oidc.OidcIdToken;
import org.springframework.security.oauth2.core.oidc.user.DefaultOidcUser;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;

/** What the account of somebody is called who comes from a provider, and when none is made. */
class OpenIdAccountsTest {

    private final Accounts accounts = mock(Accounts.class);
    private final OpenIdAccounts people = new OpenIdAccounts(
            accounts, new OpenIdProperties("https://login.example.org", "m", "", "Quillmarsh", NewAccounts.TEACHERS));

    private static OidcUser somebody(Map<String, Object> claims) {
        Instant now = Instant.parse("2026-10-07T08:00:00Z");
        Map<String, Object> all = new java.util.HashMap<>(claims);
        all.putIfAbsent("sub", "s-1");
        all.put("iss", "https://login.example.org");
        return new DefaultOidcUser(List.of(), new OidcIdToken("token", now, now.plusSeconds(60), all));
    }

    private void comes(Map<String, Object> claims) {
        when(accounts.known(anyString(), anyString())).thenReturn(Optional.empty());
        when(accounts.createElsewhere(anyString(), anyString(), anyString(), anyString(), anyBoolean()))
                .thenReturn(new SignedIn(7, 7, "x", "X", ""));
        people.signedIn(somebody(claims));
    }

    @Test
    void theFirstAccountOfAllIsNotMadeSo() {
        when(accounts.known(anyString(), anyString())).thenReturn(Optional.empty());
        when(accounts.none()).thenReturn(true);
        assertThat(people.signedIn(somebody(Map.of())).refused()).contains(OpenIdAccounts.Refused.NO_ACCOUNT);
        verify(accounts, never()).createElsewhere(any(), any(), any(), any(), anyBoolean());
    }

    @Test
    void noneIsMadeWhereThereIsNoRoom() {
        when(accounts.known(anyString(), anyString())).thenReturn(Optional.empty());
        when(accounts.full()).thenReturn(true);
        assertThat(people.signedIn(somebody(Map.of())).refused()).contains(OpenIdAccounts.Refused.NO_ROOM);
        verify(accounts, never()).createElsewhere(any(), any(), any(), any(), anyBoolean());
    }

    @Test
    void itIsCalledWhatNobodyElseIsCalled() {
        when(accounts.known("wren")).thenReturn(true);
        when(accounts.known("wren 2")).thenReturn(true);
        comes(Map.of("preferred_username", " Wren", "name", "W. Oakes"));
        verify(accounts).createElsewhere("wren 3", "W. Oakes", "https://login.example.org", "s-1", false);
    }

    @Test
    void namesAreOneLineOfABoundedLength() {
        comes(Map.of("preferred_username", "a\u202eb\n" + "c".repeat(500), "name", "  "));
        verify(accounts)
                .createElsewhere(
                        "ab" + "c".repeat(88), "ab" + "c".repeat(88), "https://login.example.org", "s-1", false);
    }

    @Test
    void anAddressCountsWhereTheProviderHasMadeSureOfIt() {
        comes(Map.of("email", "wren@quillmarsh.example", "email_verified", false));
        verify(accounts, never()).writeTo(any(), any());
        comes(Map.of("email", "wren@quillmarsh.example", "email_verified", true));
        verify(accounts).writeTo(any(), any());
    }
}
