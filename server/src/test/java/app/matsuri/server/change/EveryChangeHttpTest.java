package app.matsuri.server.change;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.core.plan.Course;
import app.matsuri.core.plan.Decisions;
import app.matsuri.exchange.change.ChangeJson;
import app.matsuri.exchange.plan.Json;
import app.matsuri.exchange.plan.PlanFile;
import app.matsuri.server.Browser;
import app.matsuri.server.DemoTest;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * A change of each kind on the demo's plan, over HTTP: it is proposed without being stored, made, stored as the rules alone make it,
 * taken back to the letter, and made again.
 */
public class EveryChangeHttpTest extends DemoTest {

    public static Stream<String> changes() {
        return Stream.of(
                "{'kind':'add-closure','closure':{'first':'2026-10-09','last':'2026-10-09','reason':'Flood','kind':'weather'}}",
                "{'kind':'remove-closure','first':'2026-10-12','last':'2026-10-13','reason':'Autumn break'}",
                "{'kind':'put-closure','first':'2026-10-12','last':'2026-10-13','reason':'Autumn break','closure':{'first':'2026-10-12','last':'2026-10-16','reason':'Autumn break','kind':'break'}}",
                "{'kind':'mark-days','first':'2026-10-17','last':'2026-10-17','as':'teaches'}",
                "{'kind':'mark-days','first':'2026-10-14','last':'2026-10-14','as':'runs-as','weekday':'MO'}",
                "{'kind':'first-plan-day','day':'2026-09-02'}",
                "{'kind':'set-rotation','rotation':{'letters':['A','B'],'advances':'teaching-days'}}",
                "{'kind':'set-term','term':{'first':'2026-08-31','last':'2026-12-11','weekdays':['MO','TU','WE','TH','FR'],'weekStart':'MO','closures':[]}}",
                "{'kind':'shift','course':'HYD 210','section':'A','lessons':['SE2'],'by':1,'in':'sessions'}",
                "{'kind':'shift','course':'HYD 210','unit':'FL','by':2,'in':'sessions'}",
                "{'kind':'move','course':'HYD 210','items':['log-8','log-9'],'to':'2026-11-09'}",
                "{'kind':'pin','course':'HYD 210','section':'A','lesson':'SE7','date':'2026-11-06'}",
                "{'kind':'record-taught','course':'HYD 210','section':'A','session':'2026-10-07T10:00','lessons':['CH1'],'partly':true,'note':'slow'}",
                "{'kind':'record-held','course':'SOL 101','until':'2026-10-06'}",
                "{'kind':'hold-empty','course':'HYD 210','section':'A','session':'2026-10-16T10:00','hold':true}",
                "{'kind':'leave-out','course':'HYD 210','section':'A','lesson':'FL3','leave':true}",
                "{'kind':'set-length','course':'HYD 210','section':'A','lesson':'FL2','length':2}",
                "{'kind':'set-gap','course':'HYD 210','section':'A','lesson':'FL2','empty':1}",
                "{'kind':'join','course':'HYD 210','section':'A','lesson':'FL4','join':true}",
                "{'kind':'begin-mid-week','course':'MAP 115','section':'A','lesson':'SY1','anyDay':true}",
                "{'kind':'change-session','course':'HYD 210','section':'A','change':{'move':'2026-10-16T10:00','to':'2026-10-15T09:00'}}",
                "{'kind':'change-session','course':'HYD 210','section':'A','change':{'cancel':'2026-10-16T10:00'}}",
                "{'kind':'change-session','course':'HYD 210','section':'B','change':{'add':'2026-10-17T10:00','minutes':50}}",
                "{'kind':'change-series','course':'HYD 210','section':'A','pattern':0,'from':'2026-11-02','meets':{'rule':'FREQ=WEEKLY;BYDAY=MO,WE,FR','start':'09:00','minutes':50,'place':'Weir House 1'}}",
                "{'kind':'put-lesson','course':'HYD 210','unit':'RE','lesson':{'id':'RE9','title':'Nine','length':2},'before':'RE2'}",
                "{'kind':'remove-lesson','course':'HYD 210','lesson':'FL5'}",
                "{'kind':'arrange-lessons','course':'HYD 210','lessons':['FL5'],'unit':'RE','before':'RE1'}",
                "{'kind':'put-item','course':'HYD 210','unit':'RE','item':{'id':'essay','kind':'essay','title':'Essay','points':10.5,'due':{'lesson':'RE3','plus':2,'in':'days','time':'17:00'}}}",
                "{'kind':'remove-item','course':'HYD 210','item':'quiz-2'}",
                "{'kind':'leave-shared','course':'HYD 210','notice':'field-day','leaves':'HYD 210L'}",
                "{'kind':'arrange-items','course':'HYD 210','items':['log-10'],'unit':'RE','lesson':'RE1'}",
                "{'kind':'order-day','course':'HYD 210','items':['log-8','set-6']}",
                "{'kind':'put-unit','course':'HYD 210','unit':{'id':'IC','code':'IC','title':'Ice','lessons':[{'id':'IC1','title':'Cover'}],'items':[]},'before':'RE'}",
                "{'kind':'remove-unit','course':'HYD 210','unit':'RE'}",
                "{'kind':'arrange-unit','course':'MAP 115','unit':'ST','before':'CH'}",
                "{'kind':'put-session-links','course':'HYD 210','section':'A','session':'2026-10-05T10:00',"
                        + "'links':[{'title':'Film','url':'https://films.example/1'}]}",
                "{'kind':'set-publishing','course':'HYD 210','publishing':{'language':'de','linkAroundClass':true}}",
                "{'kind':'put-reminders','course':'HYD 210','reminders':[{'id':'r','kinds':['quiz'],'marked':true,'before':'closes','lead':{'minutes':60}},{'id':'s','before':'session','lead':{'days':1,'at':'09:00'},'to':'instructor','feed':false}]}",
                "{'kind':'put-office-hours','hours':{'id':'oh','title':'Office hours','windows':[{'rule':'FREQ=WEEKLY;BYDAY=TU','start':'13:00','minutes':60}],'booking':{'minutes':15}}}",
                "{'kind':'set-draft','course':'MAP 115','units':['ST'],'draft':true}",
                "{'kind':'date-unit','course':'HYD 210','section':'A','unit':'FL','to':'2026-11-13'}",
                "{'kind':'put-dates','entries':[{'course':'HYD 210','item':'quiz-2','due':{'at':'2026-11-20T17:00'}},{'course':'HYD 210','item':'report','sections':['B'],'due':{'at':'2026-12-11T17:00'}}]}",
                "{'kind':'redate','course':'HYD 210','items':['log-8','log-9','log-10'],'dates':['due'],'by':1,'in':'teaching-days'}",
                "{'kind':'redate','course':'HYD 210','items':['log-8'],'dates':['due'],'time':'17:00'}",
                "{'kind':'redate','course':'HYD 210','items':['report'],'dates':['due'],'toClass':'previous'}",
                "{'kind':'put-adjustment','course':'HYD 210','section':'A','adjustment':{'item':'report','due':{'at':'2026-12-14T17:00'},'why':'gauge'}}",
                "{'kind':'put-section','course':'MAP 115','section':{'code':'B','pace':'sessions','meets':[{'rule':'FREQ=WEEKLY;BYDAY=TU,TH','start':'09:00','minutes':50}]}}",
                "{'kind':'remove-section','course':'HYD 210','section':'B'}",
                "{'kind':'put-course','course':{'code':'ICE 120','title':'Ice','usualMinutes':50,'sections':[],'units':[]}}",
                "{'kind':'remove-course','course':'SOL 101'}",
                "{'kind':'put-roster','course':'MAP 115','section':'A','students':[{'id':'1','name':'Wren Oakes','mail':'w@quillmarsh.example'}]}",
                "{'kind':'set-weights','course':'HYD 210','weights':{'leaveOut':12}}",
                "{'kind':'remember-pace','course':'HYD 210','took':[{'unit':'BA','term':'Spring 2025','section':'A','sessions':8}]}",
                "{'kind':'put-notice','course':'HYD 210','notice':{'id':'trip','title':'Trip','begins':{'at':'2026-10-23T08:00'}}}",
                "{'kind':'remove-notice','course':'HYD 210','notice':'hut'}",
                "{'kind':'arrange-notice','course':'HYD 210','notice':'field-day','unit':'FL'}",
                "{'kind':'put-rhythm','course':'HYD 210','rhythm':{'id':'gauge','title':'Gauge','unit':'RE','weekdays':['WE'],'parts':[{'id':'log','kind':'homework','title':'Gauge {n}','due':{'rhythm':'gauge','edge':'start'}}]}}",
                "{'kind':'put-day-note','course':'HYD 210','note':{'date':'2026-10-07','section':'A','text':'Tape','own':true}}",
                "{'kind':'put-week-note','course':'HYD 210','note':{'first':'2026-10-05','headline':'Gauges','targets':['One','Two']}}",
                "{'kind':'tell','course':'HYD 210','section':'A','upTo':'2026-12-18','why':'The gauge was dry'}",
                "{'kind':'together','does':'Two days','changes':[{'kind':'mark-days','first':'2026-10-17','last':'2026-10-17','as':'teaches'},{'kind':'first-plan-day','day':'2026-09-02'}]}");
    }

    private Decisions plan() throws Exception {
        return PlanFile.read(browser.plan(term)).decisions();
    }

    /** What counts as held as planned by now is recorded with a change that repairs. */
    private static Decisions withoutRecords(Decisions in) {
        Decisions out = in;
        for (Course course : in.courses()) {
            out = out.withCourse(course.withSections(course.sections().stream()
                    .map(s -> s.withTaught(Map.of(), Set.of()))
                    .toList()));
        }
        return out;
    }

    private Browser.Answer step(String which, long version) throws Exception {
        return browser.post(at + "/" + which, "{\"version\":" + version + "}");
    }

    @ParameterizedTest
    @MethodSource("changes")
    void isProposedMadeTakenBackAndMadeAgain(String given) throws Exception {
        String json = given.replace('\'', '"');
        String before = browser.plan(term);
        Decisions stood = plan();

        JsonNode proposed = browser.post(at + "/proposals", json).body();
        assertThat(proposed.path("sentence").stringValue(""))
                .as(proposed.toString())
                .isNotEmpty();
        assertThat(browser.plan(term)).as("a look stores nothing").isEqualTo(before);

        Browser.Answer made = browser.post(at + "/changes", "{\"version\":1,\"seen\":false,\"change\":" + json + "}");
        assertThat(made.status()).as(made.body().toString()).isEqualTo(200);
        assertThat(made.body().path("version").asLong()).isEqualTo(2);
        Decisions is = plan();
        assertThat(is).isNotEqualTo(stood);
        if (!json.contains("\"tell\"") && !json.contains("record-held")) { // which know what time it is
            Change change = ChangeJson.read(Json.read(json)).change();
            assertThat(withoutRecords(is))
                    .isEqualTo(withoutRecords(Change.make(change, stood).decisions()));
        }

        assertThat(step("undo", 2).status()).isEqualTo(200);
        assertThat(browser.plan(term)).as("taken back to the letter").isEqualTo(before);
        assertThat(step("redo", 3).status()).isEqualTo(200);
        assertThat(plan()).as("made again").isEqualTo(is);
    }

    /** What is stored of the change is the change: it can be read from the history of a bundle, too. */
    @Test
    void theHistoryHasALineForEachStep() throws Exception {
        browser.change(term, 1, "{\"kind\":\"first-plan-day\",\"day\":\"2026-09-02\"}");
        step("undo", 2);
        step("redo", 3);
        JsonNode lines = browser.get(at + "/history").body().path("lines");
        assertThat(lines.size()).isEqualTo(4);
        assertThat(lines.get(3).path("kind").stringValue()).isEqualToIgnoringCase("redo");
        assertThat(lines.get(2).path("kind").stringValue()).isEqualToIgnoringCase("undo");
    }

    /** A version that has gone on is refused, whichever step is asked for, and nothing is stored. */
    @Test
    void nothingIsMadeOnAVersionThatHasGoneOn() throws Exception {
        browser.change(term, 1, "{\"kind\":\"first-plan-day\",\"day\":\"2026-09-02\"}");
        String stands = browser.plan(term);
        Browser.Answer late = browser.change(term, 1, "{\"kind\":\"first-plan-day\",\"day\":\"2026-09-03\"}");
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.body().path("version").asLong()).isEqualTo(2);
        assertThat(step("undo", 1).status()).isEqualTo(409);
        assertThat(step("redo", 1).status()).isEqualTo(409);
        assertThat(browser.plan(term)).isEqualTo(stands);
    }
}
