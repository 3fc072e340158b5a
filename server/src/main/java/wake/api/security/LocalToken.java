package wake.api.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import wake.WakeProperties;
import wake.store.backups.DataFolder;
import wake.store.backups.Durable;

/** Lets in who can read the data folder anyway: {@code ./wake backup} on this machine, by a word that is new at each start. */
@Component
class LocalToken extends OncePerRequestFilter {
    private static final int BYTES = 32;
    private static final String BEARER = "Bearer ";
    private final String word;

    LocalToken(WakeProperties properties, DataFolder opened) throws IOException {
        byte[] random = new byte[BYTES];
        new SecureRandom().nextBytes(random);
        this.word = HexFormat.of().formatHex(random);
        Durable.write(properties.data().resolve(DataFolder.TOKEN), word.getBytes(StandardCharsets.US_ASCII));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String said = request.getHeader("Authorization");
        if (said != null
                && said.startsWith(BEARER)
                && MessageDigest.isEqual(
                        said.substring(BEARER.length()).getBytes(StandardCharsets.UTF_8),
                        word.getBytes(StandardCharsets.UTF_8))) {
            SecurityContextHolder.getContext()
                    .setAuthentication(UsernamePasswordAuthenticationToken.authenticated("local", null, List.of()));
        }
        chain.doFilter(request, response);
    }
}
