package tallledger.web;

import java.time.Clock;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;

/** Starts Tall Ledger. There are no user accounts: it listens on this machine only, and each entry names its author. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@MapperScan("tallledger.web.record")
public class TallLedger {

    public static void main(String[] args) {
        SpringApplication.run(TallLedger.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
