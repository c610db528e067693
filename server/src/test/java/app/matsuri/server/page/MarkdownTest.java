package app.matsuri.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MarkdownTest {

    @Test
    void marksBecomeHtmlAndWhatRunsIsGone() {
        assertThat(Markdown.html("**Read** [the sheet](https://quillmarsh.example/a)<script>alert(1)</script>"))
                .contains("<strong>Read</strong>")
                .contains("href=\"https://quillmarsh.example/a\"")
                .doesNotContain("<script");
    }

    @Test
    void aParagraphThatIsLongerThanAnyFieldIsShownAsItIs() {
        String text = "*a*\r\n<b>" + "x".repeat(Markdown.MOST);
        assertThat(Markdown.html(text)).isEqualTo("<p>*a*<br />&lt;b&gt;" + "x".repeat(Markdown.MOST) + "</p>");
        assertThat(Markdown.html(text.substring(0, Markdown.MOST))).startsWith("<p><em>a</em>");
    }

    @Test
    void aLongTextKeepsTheMarksOfItsParagraphs() {
        String html =
                Markdown.html("Read **this**.\n\n".repeat(9_000) + "*" + "y".repeat(Markdown.MOST) + "\n\n- last");
        assertThat(html.split("<strong>this</strong>", -1)).hasSize(9_001);
        assertThat(html).contains("<p>*yyy").endsWith("<ul><li>last</li></ul>\n");
    }

    /** A safety net, many times what it takes: each took up to 15 s for a page before. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "|a|b|\n|-|-|\n",
                "x**",
                "a*",
                "**x",
                "[a](",
                "![",
                "> ",
                "- ",
                "`a``b",
                "***a",
                "[a]: b\n",
                "&amp;"
            })
    @Timeout(60)
    void marksThatAreLeftOpenCostNoPage(String mark) {
        for (int letters : new int[] {Markdown.MOST, 250_000}) {
            assertThat(Markdown.html(mark.repeat(letters / mark.length()))).isNotNull();
        }
    }
}
