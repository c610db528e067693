package app.matsuri.server.account;

import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is signed in, and to which workspace. */
public record SignedIn(long accountId, long workspaceId, String signIn, String displayName, String passwordHash)
        implements UserDetails {

    /** In a session that is kept stands no hash. */
    private Object writeReplace() {
        return passwordHash.isEmpty() ? this : new SignedIn(accountId, workspaceId, signIn, displayName, "");
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return signIn;
    }
}
