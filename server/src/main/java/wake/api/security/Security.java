package wake.api.security;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.boot.security.autoconfigure.web.servlet.SecurityFilterProperties;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.firewall.HttpFirewall;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import wake.WakeProperties;
import wake.api.Quiet;
import wake.store.DatabaseHealth;

/**
 * The door. Wake answers this machine only, under its own names, and no page of another site may write or look in. Opened to a network, it asks
 * for a passphrase.
 */
@Configuration
class Security {
    /** Styles are written by the interface as it runs; scripts are files of ours only. */
    private static final String POLICY = "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; "
            + "img-src 'self' data: blob:; media-src 'self' blob:; font-src 'self' data:; connect-src 'self'; object-src 'none'; base-uri 'none'; "
            + "form-action 'self'; frame-ancestors 'none'";

    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
    static final String ENTER = "/enter";
    private static final String LEAVE = "/leave";
    /** Before the chain that asks for the passphrase: what is refused here uses up no try. */
    private static final int BEFORE_THE_CHAIN = SecurityFilterProperties.DEFAULT_FILTER_ORDER - 10;

    @Bean
    SecurityFilterChain doorkeeper(HttpSecurity http, WakeProperties properties, LocalToken token, Passphrases tries)
            throws Exception {
        http.csrf(AbstractHttpConfigurer::disable)
                // Nothing is remembered of who has not entered: no session before a login.
                .requestCache(AbstractHttpConfigurer::disable)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(POLICY))
                        .frameOptions(frames -> frames.deny())
                        .cacheControl(cache -> cache.disable())
                        // To others nothing; to Wake itself, or a browser would not say whose form it is that is sent.
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .crossOriginOpenerPolicy(opener -> opener.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(other -> other.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(
                                use -> use.policy("camera=(), microphone=(), geolocation=(), payment=(), usb=()")));
        if (!properties.isOpen()) {
            return http.authorizeHttpRequests(all -> all.anyRequest().permitAll())
                    .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                    .securityContext(AbstractHttpConfigurer::disable)
                    .anonymous(AbstractHttpConfigurer::disable)
                    .logout(AbstractHttpConfigurer::disable)
                    .build();
        }
        AuthenticationEntryPoint toTheDoor = new LoginUrlAuthenticationEntryPoint(ENTER);
        return http.authorizeHttpRequests(all -> all.requestMatchers(ENTER, "/api/ready")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/assets/**", "/icon.svg")
                        .permitAll()
                        .anyRequest()
                        .authenticated())
                .addFilterBefore(token, UsernamePasswordAuthenticationFilter.class)
                .addFilterBefore(tries, UsernamePasswordAuthenticationFilter.class)
                .formLogin(form -> form.loginPage(ENTER)
                        .usernameParameter("who")
                        .passwordParameter("passphrase")
                        .successHandler((request, response, who) -> {
                            tries.entered(request);
                            response.sendRedirect("/");
                        })
                        .failureHandler((request, response, why) -> response.sendRedirect(ENTER + "?wrong")))
                .logout(leave -> leave.logoutRequestMatcher(
                                PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, LEAVE))
                        .logoutSuccessUrl(ENTER))
                .exceptionHandling(refused -> refused.authenticationEntryPoint((request, response, why) -> {
                    if (request.getRequestURI().startsWith("/api")) {
                        Refusals.write(response, HttpStatus.UNAUTHORIZED, "Enter the passphrase first.");
                    } else {
                        toTheDoor.commence(request, response, why);
                    }
                }))
                .build();
    }

    @Bean
    UserDetailsService coach(WakeProperties properties, PasswordEncoder encoder) {
        return properties.isOpen()
                ? new InMemoryUserDetailsManager(User.withUsername("coach")
                        .password(encoder.encode(properties.passphrase()))
                        .roles("COACH")
                        .build())
                : new InMemoryUserDetailsManager();
    }

    @Bean
    PasswordEncoder passphraseEncoder() {
        return new BCryptPasswordEncoder();
    }

    /** Only under names of its own: a page of another site that has its name point here is not let in. */
    @Bean
    HttpFirewall names(WakeProperties properties) {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedHostnames(
                name -> THIS_MACHINE.contains(name.toLowerCase(Locale.ROOT)) || properties.answersTo(name));
        firewall.setAllowUrlEncodedPercent(true);
        firewall.setAllowUrlEncodedSlash(true);
        firewall.setAllowUrlEncodedPeriod(true);
        firewall.setAllowSemicolon(true);
        return firewall;
    }

    @Bean
    RequestRejectedHandler notLetIn() {
        return (request, response, why) -> Refusals.write(
                response, HttpStatus.MISDIRECTED_REQUEST, "Wake does not answer under this name or address.");
    }

    @Bean
    FilterRegistrationBean<OwnPagesOnly> ownPagesOnly() {
        return at(BEFORE_THE_CHAIN, new OwnPagesOnly());
    }

    @Bean
    FilterRegistrationBean<BodyCap> bodyCap() {
        return at(BEFORE_THE_CHAIN + 1, new BodyCap());
    }

    @Bean
    FilterRegistrationBean<WhileUnwell> whileUnwell(DatabaseHealth health, List<Quiet> quiets) {
        return at(Ordered.LOWEST_PRECEDENCE - 100, new WhileUnwell(health, quiets));
    }

    private static <F extends jakarta.servlet.Filter> FilterRegistrationBean<F> at(int place, F filter) {
        FilterRegistrationBean<F> registered = new FilterRegistrationBean<>(filter);
        registered.setOrder(place);
        return registered;
    }

    /** Registered with the security chain, and not a second time by itself. */
    @Bean
    FilterRegistrationBean<LocalToken> tokenOnlyInTheChain(LocalToken token) {
        FilterRegistrationBean<LocalToken> registered = new FilterRegistrationBean<>(token);
        registered.setEnabled(false);
        return registered;
    }

    @Bean
    FilterRegistrationBean<Passphrases> triesOnlyInTheChain(Passphrases tries) {
        FilterRegistrationBean<Passphrases> registered = new FilterRegistrationBean<>(tries);
        registered.setEnabled(false);
        return registered;
    }
}
