package escrel.bench.campaign;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The forms on a page: where they go, and what they send as they stand. */
record Forms(String action, Map<String, String> fields, String file) {
    private static final Pattern FORM = Pattern.compile("<form\\b([^>]*)>(.*?)</form>", Pattern.DOTALL);
    private static final Pattern FIELD =
            Pattern.compile("<(input|select|textarea|button)\\b([^>]*)>(.*?)(?=<|$)", Pattern.DOTALL);
    private static final Pattern OPTION = Pattern.compile("<option\\b([^>]*)>");

    static List<Forms> on(String page) {
        List<Forms> forms = new ArrayList<>();
        Matcher form = FORM.matcher(page);
        while (form.find()) {
            String post = attribute(form.group(1), "hx-post");
            String action = post.isEmpty() ? attribute(form.group(1), "action") : post;
            boolean sends = !post.isEmpty() || form.group(1).contains("method=\"post\"");
            if (sends && action.startsWith("/")) {
                forms.add(of(action, form.group(2)));
            }
        }
        return forms;
    }

    private static Forms of(String action, String body) {
        Map<String, String> fields = new LinkedHashMap<>();
        String file = "";
        Matcher field = FIELD.matcher(body);
        while (field.find()) {
            String name = attribute(field.group(2), "name");
            if (name.isEmpty() || name.equals("_csrf")) {
                continue;
            }
            if (attribute(field.group(2), "type").equals("file")) {
                file = name;
            } else if (field.group(1).equals("select")) {
                int end = body.indexOf("</select>", field.start());
                Matcher option = OPTION.matcher(body.substring(field.start(), Math.max(end, field.end())));
                String value = "";
                while (option.find()) {
                    if (value.isEmpty() || option.group(1).contains("selected")) {
                        value = attribute(option.group(1), "value");
                    }
                }
                fields.put(name, value);
            } else if (field.group(1).equals("textarea")) {
                fields.put(name, unescaped(field.group(3)));
            } else {
                fields.put(name, attribute(field.group(2), "value"));
            }
        }
        return new Forms(action, fields, file);
    }

    private static String attribute(String tag, String name) {
        Matcher found = Pattern.compile("\\b" + name + "=\"([^\"]*)\"").matcher(tag);
        return found.find() ? unescaped(found.group(1)) : "";
    }

    private static String unescaped(String html) {
        return html.replace("&quot;", "\"")
                .replace("&#39;", "'")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&amp;", "&");
    }
}
