package escrel.web.format;

import java.text.ParseException;
import java.util.Locale;
import org.springframework.context.annotation.Configuration;
import org.springframework.format.Formatter;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Numbers as people type them, in every room alike: comma or point, a true minus or a hyphen; never what is no number. */
@Configuration
class Typed implements WebMvcConfigurer {
    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addFormatterForFieldType(Double.class, new Formatter<Double>() {
            @Override
            public Double parse(String text, Locale locale) throws ParseException {
                return number(text);
            }

            @Override
            public String print(Double number, Locale locale) {
                return number.toString();
            }
        });
    }

    /** The number a text stands for; at most twelve digits before and after the point. */
    static double number(String typed) throws ParseException {
        String text = typed.strip().replace(',', '.').replace('−', '-');
        if (!text.matches("[+-]?(\\d{1,12}(\\.\\d{0,12})?|\\.\\d{1,12})")) {
            throw new ParseException("no number: " + text, 0);
        }
        return Double.parseDouble(text);
    }
}
