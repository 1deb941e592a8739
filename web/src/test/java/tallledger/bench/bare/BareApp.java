package tallledger.bench.bare;

import java.util.stream.IntStream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The same framework with nothing in it: what a page of so many elements takes at least. */
@SpringBootApplication(scanBasePackageClasses = BareApp.class)
public class BareApp {

    public static void main(String[] args) {
        SpringApplication app = new SpringApplication(BareApp.class);
        app.setDefaultProperties(java.util.Map.of("spring.config.location", "optional:classpath:/none/", "server.address", "127.0.0.1",
                "logging.level.root", "WARN",
                "spring.datasource.url", "jdbc:h2:mem:bare", "spring.flyway.enabled", "false", "spring.main.banner-mode", "off"));
        app.run(args);
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll()).build();
    }

    /** One list of so many elements. */
    @Controller
    static class Page {
        @GetMapping("/bare")
        String bare(@RequestParam int elements, Model model) {
            model.addAttribute("items", IntStream.range(0, elements).boxed().toList());
            return "bench/bare";
        }
    }
}
