package app.matsuri.e2e;

import java.net.HttpCookie;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.Consumer;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A browser window on the application, with what a person does in it. */
final class Page implements AutoCloseable {

    /** Browsers that nobody looks through at the moment, with nothing kept in them. */
    private static final Deque<ChromeDriver> FREE = new ConcurrentLinkedDeque<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> FREE.forEach(ChromeDriver::quit)));
    }

    /** What says just these words and can be pressed, else the last that says them among more. */
    private static final String TO_PRESS = """
            const says = (e) => e.textContent.replace(/\\s+/g, ' ').trim();
            const found = [...document.querySelectorAll('button, a, label')].filter((e) =>
              !e.hasAttribute('disabled') && says(e).includes(arguments[0]) && e.getClientRects().length > 0 &&
              e.checkVisibility({ opacityProperty: true, visibilityProperty: true }));
            return found.find((e) => says(e) === arguments[0]) ?? found.at(-1);
            """;

    final ChromeDriver driver;
    private final App app;

    private Page(App app, ChromeDriver driver) {
        this.app = app;
        this.driver = driver;
    }

    static Page open(App app) throws Exception {
        return open(app, 1280, 800, false);
    }

    /** A window of the given size, in CSS pixels; with a finger instead of a mouse below 800. */
    static Page open(App app, int width, int height, boolean dark) throws Exception {
        ChromeDriver free = FREE.poll();
        ChromeDriver driver = free == null ? browser() : free;
        // each window is the one that is worked in, whichever of them the machine thinks is in front
        driver.executeCdpCommand("Emulation.setFocusEmulationEnabled", Map.of("enabled", true));
        return new Page(app, driver).size(width, height).dark(dark);
    }

    private static ChromeDriver browser() throws Exception {
        Path profile = Files.createTempDirectory("matsuri-browser");
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--in-process-gpu",
                "--num-raster-threads=1",
                "--force-prefers-reduced-motion",
                "--disable-smooth-scrolling",
                "--disable-features=Translate,MediaRouter,OptimizationHints,PaintHolding,SpareRendererForSitePerProcess",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-background-timer-throttling",
                "--disable-renderer-backgrounding",
                "--disable-backgrounding-occluded-windows",
                "--hide-scrollbars",
                "--window-size=1400,1000",
                "--user-data-dir=" + profile);
        return new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new java.io.File("/usr/bin/chromedriver"))
                        .usingAnyFreePort()
                        .build(),
                options);
    }

    /** Sets the size of the window that is looked at, in CSS pixels. */
    Page size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        return this;
    }

    /** Sets the theme that the system asks for. */
    Page dark(boolean dark) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", dark ? "dark" : "light"))));
        return this;
    }

    Page go(String path) {
        driver.get(app.url(path));
        return this;
    }

    /** Enters the demo with one press. */
    Page enter(String name) {
        go("/sign-in");
        press("Enter as " + name);
        see(".wall, .phone, .terms");
        return this;
    }

    /** In a term of its own with a plan of the demo, on its wall. */
    Page withPlan(String name, String file) throws Exception {
        return withPlan(name, Path.of("..", "demo", file));
    }

    /** Likewise with any plan file. What leads there is not walked through each time: signing in and opening have tests of their own. */
    Page withPlan(String name, Path file) throws Exception {
        Client client = new Client(
                app.url(""), name.substring(name.lastIndexOf(' ') + 1).toLowerCase(Locale.ROOT));
        for (HttpCookie cookie : client.cookies()) {
            driver.executeCdpCommand(
                    "Network.setCookie",
                    Map.of("url", app.url("/"), "name", cookie.getName(), "value", cookie.getValue()));
        }
        go("/terms/" + client.opened(file) + "/wall");
        see(".wall, .phone");
        return this;
    }

    /** Opens a plan file as a term of its own, for who is in already. */
    Page opened(Path file) {
        go("/");
        see(".begin");
        driver.findElement(By.cssSelector("input[type=file]"))
                .sendKeys(file.toAbsolutePath().normalize().toString());
        waiting().until(d -> d.getCurrentUrl().matches(".*/terms/\\d+/wall.*"));
        return this;
    }

    WebElement see(String css) {
        return waiting().withMessage("see " + css).until(d -> first(css));
    }

    /** Goes into a frame, again where it was drawn anew in between. */
    void into(String css) {
        waiting().withMessage("into " + css).until(d -> {
            WebElement found = first(css);
            if (found != null) {
                d.switchTo().frame(found);
            }
            return found != null;
        });
    }

    /** Waits until the text stands somewhere in the part of the page. */
    void seeText(String css, String text) {
        waiting()
                .withMessage(() -> "“" + text + "” in " + css + ", which says: " + text(css))
                .until(d -> text(css).contains(text));
    }

    void gone(String css) {
        waiting().withMessage("gone " + css).until(d -> first(css) == null);
    }

    /** The first such thing in the page or the frame that is looked at; null where there is none. */
    private WebElement first(String css) {
        return (WebElement) js("return document.querySelector(arguments[0])", css);
    }

    private WebDriverWait waiting() {
        WebDriverWait wait = new WebDriverWait(driver, Duration.ofSeconds(30), Duration.ofMillis(60));
        // what is drawn anew or still moves is looked at again
        wait.ignoring(StaleElementReferenceException.class, ElementClickInterceptedException.class);
        return wait;
    }

    String text(String css) {
        return (String) js(
                "return [...document.querySelectorAll(arguments[0])].filter((e) => e.checkVisibility())"
                        + ".map((e) => e.innerText.trim()).join(' ')",
                css);
    }

    int count(String css) {
        return ((Long) js("return document.querySelectorAll(arguments[0]).length", css)).intValue();
    }

    /** Presses the button or link that says just this, else the last one that says it among more. */
    void press(String words) {
        waiting().withMessage("press “" + words + "”").until(d -> {
            WebElement found = (WebElement) js(TO_PRESS, words);
            if (found != null) {
                found.click();
            }
            return found != null;
        });
    }

    void click(String css) {
        on(css, WebElement::click);
    }

    void type(String css, String text) {
        on(css, field -> field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text));
    }

    /** Puts text into a field as pasting does: at once, line ends and all. */
    void paste(String css, String text) {
        see(css);
        js(
                "const e=document.querySelector(arguments[0]);e.value=arguments[1];e.dispatchEvent(new Event('input',{bubbles:true}))",
                css,
                text);
    }

    void choose(String css, String option) {
        on(css, field -> new Select(field).selectByVisibleText(option));
    }

    /** Chooses an option by what it stands for, where several say the same. */
    void chooseValue(String css, String value) {
        on(css, field -> new Select(field).selectByValue(value));
    }

    /** Applies what is proposed, with the key for it. */
    Page apply(String says) {
        seeText(".strip", says);
        press("Apply");
        gone(".strip");
        return this;
    }

    /** Goes from the opened day back to the outline. */
    Page outline() {
        if (count(".slip") > 0) {
            click(".slip .back button");
            gone(".slip");
        }
        return this;
    }

    /** Lets the server's answers come so much later, in milliseconds. */
    void delay(int milliseconds) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", false, "latency", milliseconds, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** Rests, as a hand does that waits for an answer. */
    void rest(int milliseconds) {
        new Actions(driver).pause(Duration.ofMillis(milliseconds)).perform();
    }

    /** Whether something to press says this within so many milliseconds. */
    boolean saysWithin(String words, int milliseconds) {
        By by = By.xpath("//button[normalize-space(.)='" + words + "'][not(@disabled)]");
        long until = System.nanoTime() + milliseconds * 1_000_000L;
        while (System.nanoTime() < until) {
            if (!driver.findElements(by).isEmpty()) {
                return true;
            }
        }
        return false;
    }

    /** The term that is looked at, by the address. */
    String term() {
        return driver.getCurrentUrl().replaceAll(".*/terms/(\\d+)/.*", "$1");
    }

    /** Does something with the first such thing; again where it was drawn anew in between. */
    private void on(String css, Consumer<WebElement> action) {
        waiting().withMessage("on " + css).until(d -> {
            // a dialog that is coming up takes the focus when it is there
            WebElement found = first(".p-dialog-enter-active") == null ? first(css) : null;
            if (found != null) {
                action.accept(found);
            }
            return found != null;
        });
    }

    /** The cell of a day. */
    static String day(String date) {
        return ".wall [data-date='" + date + "']";
    }

    void keys(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    /** A key while others are held, such as Ctrl and Shift: actions let go of each key at once. */
    void hold(CharSequence key, Keys... held) {
        Actions actions = new Actions(driver);
        for (Keys one : held) {
            actions.keyDown(one);
        }
        actions.sendKeys(key);
        for (Keys one : held) {
            actions.keyUp(one);
        }
        actions.perform();
    }

    Object js(String script, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(script, arguments);
    }

    /** Stands on a day with the keyboard. */
    void stand(String date) {
        js("document.querySelector(arguments[0]).focus()", day(date));
    }

    /** Drags with the mouse from the middle of one thing to the middle of another. */
    void drag(String from, String to) {
        WebElement a = see(from);
        WebElement b = see(to);
        new Actions(driver)
                .moveToElement(a)
                .clickAndHold()
                .moveByOffset(8, 4)
                .moveToElement(b)
                .pause(Duration.ofMillis(80))
                .release()
                .perform();
    }

    /** The middle of a thing, in pixels of the window. */
    List<Long> middle(String css) {
        var box = see(css).getRect();
        return List.of((long) box.x + box.width / 2, (long) box.y + box.height / 2);
    }

    /** A finger: "touchStart", "touchMove" or "touchEnd", the last without a place. */
    void touch(String type, List<Long> at) {
        List<Map<String, Object>> points = at == null ? List.of() : List.of(Map.of("x", at.get(0), "y", at.get(1)));
        driver.executeCdpCommand("Input.dispatchTouchEvent", Map.of("type", type, "touchPoints", points));
    }

    void png(Path file) throws Exception {
        Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    }

    /** Gives the browser back as a new one: another tab, no cookies, nothing stored. */
    @Override
    public void close() {
        try {
            String fresh = driver.switchTo().newWindow(WindowType.TAB).getWindowHandle();
            for (String tab : driver.getWindowHandles()) {
                if (!tab.equals(fresh)) {
                    driver.switchTo().window(tab).close();
                }
            }
            driver.switchTo().window(fresh);
            driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            driver.executeCdpCommand(
                    "Storage.clearDataForOrigin", Map.of("origin", app.url(""), "storageTypes", "all"));
            FREE.add(driver);
        } catch (WebDriverException e) {
            driver.quit(); // it is in no state to be used again
        }
    }
}
