package escrel.web.storage;

import com.zaxxer.hikari.HikariDataSource;
import escrel.web.ground.Ground;
import escrel.web.ground.JournalledDataSource;
import escrel.web.media.MediaStore;
import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The database and the media of the opened folder, for the rooms above. */
@Configuration
class GroundConfiguration {
    private static final int CONNECTIONS = 6;

    @Bean
    DataSource dataSource(Ground ground) {
        HikariDataSource pool = new HikariDataSource();
        pool.setJdbcUrl(ground.url());
        pool.setUsername("sa");
        pool.setPassword("");
        pool.setMaximumPoolSize(CONNECTIONS);
        pool.setPoolName("workshop");
        return new JournalledDataSource(pool, () -> pool.getHikariPoolMXBean().softEvictConnections(), ground);
    }

    @Bean
    MediaStore mediaStore(Ground ground) {
        return new MediaStore(ground.home().media());
    }
}
