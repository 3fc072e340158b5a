package wake.api.security;

import io.github.bucket4j.Bucket;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Holds back who guesses passphrases: few wrong ones a minute from one address, and not many more from all together. */
@Component
class Passphrases extends OncePerRequestFilter {
    private static final int WRONG_A_MINUTE = 5;
    private static final int WRONG_A_MINUTE_IN_ALL = 40;
    private static final int ADDRESSES = 1000;

    private final Map<String, Bucket> byAddress = new ConcurrentHashMap<>();
    private final Bucket all = bucket(WRONG_A_MINUTE_IN_ALL);

    private static Bucket bucket(int tries) {
        return Bucket.builder()
                .addLimit(limit -> limit.capacity(tries).refillGreedy(tries, Duration.ofMinutes(1)))
                .build();
    }

    private Bucket of(HttpServletRequest request) {
        if (byAddress.size() > ADDRESSES) {
            // Those with tries used up stay known; what all may try together holds whoever comes from many addresses.
            byAddress.values().removeIf(bucket -> bucket.getAvailableTokens() >= WRONG_A_MINUTE);
        }
        return byAddress.computeIfAbsent(request.getRemoteAddr(), address -> bucket(WRONG_A_MINUTE));
    }

    /** The right one was given: it was no guess, and what was guessed from there before is forgotten. */
    void entered(HttpServletRequest request) {
        byAddress.remove(request.getRemoteAddr());
        all.addTokens(1);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean tries =
                request.getMethod().equals("POST") && request.getRequestURI().equals(Security.ENTER);
        // Counted as it comes: many sent at once are as many tries as one after the other.
        if (tries && (!of(request).tryConsume(1) || !all.tryConsume(1))) {
            Refusals.write(response, HttpStatus.TOO_MANY_REQUESTS, "Too many wrong passphrases. Wait a minute.");
            return;
        }
        chain.doFilter(request, response);
    }
}
