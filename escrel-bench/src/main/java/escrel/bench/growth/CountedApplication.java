package escrel.bench.growth;

import com.sun.management.OperatingSystemMXBean;
import escrel.web.EscrelApplication;
import jakarta.servlet.Filter;
import java.lang.management.ManagementFactory;
import java.util.concurrent.atomic.AtomicLong;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.core.Ordered;

/** The application as it ships, which also tells at {@value #PATH} how many statements and how much CPU it has used so far. */
public final class CountedApplication {
    static final String PATH = "/growth/used";

    private static final AtomicLong STATEMENTS = new AtomicLong();

    private CountedApplication() {}

    /** As {@link EscrelApplication#main}. */
    public static void main(String[] args) {
        SpringApplication application = EscrelApplication.application();
        application.addInitializers(context -> {
            GenericApplicationContext generic = (GenericApplicationContext) context;
            generic.registerBean("statementCount", StatementCount.class, StatementCount::new);
            generic.registerBean("used", FilterRegistrationBean.class, CountedApplication::used);
        });
        application.run(args);
    }

    private static FilterRegistrationBean<Filter> used() {
        OperatingSystemMXBean system = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        FilterRegistrationBean<Filter> bean = new FilterRegistrationBean<>((request, response, chain) ->
                response.getWriter().print(STATEMENTS + " " + system.getProcessCpuTime()));
        bean.addUrlPatterns(PATH);
        bean.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return bean;
    }

    /** Counts what goes to the database. */
    @Intercepts({
        @Signature(
                type = StatementHandler.class,
                method = "query",
                args = {java.sql.Statement.class, ResultHandler.class}),
        @Signature(
                type = StatementHandler.class,
                method = "update",
                args = {java.sql.Statement.class})
    })
    static final class StatementCount implements Interceptor {
        @Override
        public Object intercept(Invocation invocation) throws Throwable {
            STATEMENTS.incrementAndGet();
            return invocation.proceed();
        }
    }
}
