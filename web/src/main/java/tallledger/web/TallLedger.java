package tallledger.web;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.core.env.Environment;

/** Starts Tall Ledger. There are no user accounts: it listens on this machine only, and each entry names its author. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@MapperScan({"tallledger.web.store", "tallledger.web.shelfindex", "tallledger.web.imported"})
public class TallLedger {

    public static void main(String[] args) {
        SpringApplication application = new SpringApplication(TallLedger.class);
        Path[] data = {Path.of("data")};
        application.addListeners((ApplicationListener<ApplicationEnvironmentPreparedEvent>) event -> {
            Environment given = event.getEnvironment();
            data[0] = Path.of(given.getProperty("tallledger.data", "data"));
            Optional<String> obstacle = BeforeStart.obstacle(given.getProperty("server.port", Integer.class, 0), data[0],
                    given.getProperty("tallledger.demo-anew", Boolean.class, false), given.getProperty("tallledger.demo-from", ""));
            obstacle.ifPresent(TallLedger::stop);
        });
        try {
            application.run(args);
        } catch (RuntimeException failed) {
            stop(BeforeStart.sentence(failed, data[0]));
        }
    }

    private static void stop(String sentence) {
        System.err.println(sentence);
        System.exit(1);
    }

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
