package app.matsuri.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Signs in by password, and by the code of the second factor where a person has one. */
@Component
class TwoSteps extends DaoAuthenticationProvider {

    private final SecondFactor factor;

    TwoSteps(Accounts accounts, PasswordEncoder encoder, SecondFactor factor) {
        super(accounts);
        setPasswordEncoder(encoder);
        this.factor = factor;
    }

    /** The password is right, and a code is wanted. */
    static final class CodeWanted extends AuthenticationException {

        CodeWanted() {
            super("a code is wanted");
        }
    }

    /** What a sign-in carries besides name and password. */
    static final class Details extends WebAuthenticationDetails {

        private final String code;

        Details(HttpServletRequest request) {
            super(request);
            code = Objects.requireNonNullElse(request.getParameter("code"), "");
        }

        @Override
        public boolean equals(@Nullable Object other) {
            return other instanceof Details details && super.equals(other) && details.code.equals(code);
        }

        @Override
        public int hashCode() {
            return Objects.hash(super.hashCode(), code);
        }
    }

    @Override
    protected void additionalAuthenticationChecks(UserDetails who, UsernamePasswordAuthenticationToken given) {
        super.additionalAuthenticationChecks(who, given);
        if (who instanceof SignedIn by && factor.wanted(by)) {
            String code = given.getDetails() instanceof Details details ? details.code : "";
            if (code.isBlank()) {
                throw new CodeWanted();
            }
            if (!factor.taken(by, code)) {
                throw new BadCredentialsException("another code");
            }
        }
    }
}
