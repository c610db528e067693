package app.matsuri.server.openid;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.oauth2.client.OAuth2AuthorizedClient;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizedClientRepository;

/** What the provider would let this server do for a person is not wanted, and not kept. */
class NothingKept implements OAuth2AuthorizedClientRepository {

    @Override
    public <T extends OAuth2AuthorizedClient> @Nullable T loadAuthorizedClient(
            String registration, Authentication who, HttpServletRequest request) {
        return null;
    }

    @Override
    public void saveAuthorizedClient(
            OAuth2AuthorizedClient client,
            Authentication who,
            HttpServletRequest request,
            HttpServletResponse response) {
        // on purpose
    }

    @Override
    public void removeAuthorizedClient(
            String registration, Authentication who, HttpServletRequest request, HttpServletResponse response) {
        // there is none
    }
}
