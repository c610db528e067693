package app.matsuri.exchange.change;

import static org.assertj.core.api.Assertions.assertThat;

import app.matsuri.core.change.Change;
import app.matsuri.exchange.plan.Fault;
import app.matsuri.exchange.plan.Json;
import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** A change's JSON: the documented examples, every kind there and back, and what is wrong said. */
class ChangeJsonTest {

    private static final JsonSchema SCHEMA = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
            .getSchema(Json.MAPPER.writeValueAsString(
                    Map.of("$defs", ChangeJson.definitions(), "$ref", "#/$defs/change")));

    static Stream<String> changes() {
        return Stream.of(
                "{'kind':'add-closure','closure':{'first':'2026-10-09','last':'2026-10-09','reason':'Flood warning','kind':'weather'}}",
                "{'kind':'remove-closure','first':'2026-10-09','last':'2026-10-09'}",
                "{'kind':'shift','course':'HYD 210','section':'A','lessons':['CH2'],'by':1,'in':'sessions'}",
                "{'kind':'shift','course':'HYD 210','unit':'CH','by':5,'in':'weekdays'}",
                "{'kind':'shift','course':'HYD 210','from':'2026-10-09','by':-1,'in':'teaching-days','onlyThese':true}",
                "{'kind':'shift','course':'HYD 210','week':3,'items':['I1'],'by':2,'in':'weeks'}",
                "{'kind':'move','course':'HYD 210','items':['I7','I8'],'to':'2026-10-19','place':'last','keepSpacing':false}",
                "{'kind':'pin','course':'HYD 210','section':'A','lesson':'SE7','date':'2026-11-06'}",
                "{'kind':'pin','course':'HYD 210','lesson':'SE7','date':null}",
                "{'kind':'record-taught','course':'C','section':'A','session':'2026-10-05T10:00','lessons':['L1'],'partly':true,'note':'slow'}",
                "{'kind':'record-taught','course':'C','section':'A','session':'2026-10-05T10:00','lessons':['L1'],'finished':true}",
                "{'kind':'record-held','course':'C','until':'2026-10-05'}",
                "{'kind':'record-held','course':'C','section':'A','from':'2026-10-01','until':'2026-10-05','over':'2026-10-05T11:00'}",
                "{'kind':'remove-record','course':'C','section':'A','session':'2026-10-05T10:00'}",
                "{'kind':'hold-empty','course':'C','section':'A','session':'2026-10-05T10:00','hold':false}",
                "{'kind':'leave-out','course':'C','section':'A','lesson':'L1','leave':true}",
                "{'kind':'change-session','course':'C','section':'A','change':{'move':'2026-10-05T10:00','to':'2026-10-06T09:00'}}",
                "{'kind':'change-session','course':'C','section':'A','change':{'add':'2026-10-17T10:00','minutes':50}}",
                "{'kind':'put-lesson','course':'C','unit':'U','lesson':{'id':'L9','title':'Nine','length':2,'pin':'2026-10-02'},'before':'L2'}",
                "{'kind':'remove-lesson','course':'C','lesson':'L9'}",
                "{'kind':'put-item','course':'C','unit':'U','item':{'id':'I','kind':'quiz','title':'Quiz','points':10.5,'due':{'own':'opens','plus':2,'in':'days','time':'17:00','snapTo':'FR','snap':'on-or-before','onDayOff':'next'},'opens':{'unit':'U','edge':'end'}}}",
                "{'kind':'remove-item','course':'C','item':'I'}",
                "{'kind':'leave-shared','course':'C','item':'I','leaves':'D'}",
                "{'kind':'put-unit','course':'C','unit':{'id':'U','code':'U','title':'U','startsWeek':true,'lessons':[],'items':[]},'before':'V'}",
                "{'kind':'remove-unit','course':'C','unit':'U'}",
                "{'kind':'put-section','course':'C','was':'A','section':{'code':'B','pace':'minutes','beat':{'weekday':'MO'},'lengths':{'L1':2},'told':{'L1':'2026-09-02'}}}",
                "{'kind':'put-section','course':'C','section':{'code':'B','pace':'sessions','told':{'L1':'2026-09-02'},'toldWork':[{'item':'I','title':'Quiz','due':'2026-10-05T17:00'}],'toldUpTo':'2026-10-23','tellings':[{'at':'2026-09-24T17:40','why':'Flood','moves':[{'what':'due','id':'I','from':'2026-10-02T17:00','to':'2026-10-05T17:00'}]}]}}",
                "{'kind':'tell','course':'C','section':'A','upTo':'2026-10-23','why':'The gauge was dry','at':'2026-09-24T17:40'}",
                "{'kind':'remove-section','course':'C','section':'A'}",
                "{'kind':'put-course','course':{'code':'C','title':'T','usualMinutes':50,'sections':[],'units':[],'weights':{'told':4,'noRoom':500}}}",
                "{'kind':'remove-course','course':'C'}",
                "{'kind':'remember-pace','course':'C','took':[{'unit':'U','term':'Spring 2026','section':'A','sessions':11}]}",
                "{'kind':'bring-courses','does':'Roll over C','courses':[{'code':'C','title':'T','usualMinutes':50,'sections':[{'code':'A','pace':'sessions'}],'units':[]}]}",
                "{'kind':'put-closure','first':'2026-10-12','last':'2026-10-13','reason':'Break','closure':{'first':'2026-10-12','last':'2026-10-16','reason':'Break','kind':'break','only':['C/A'],'justInCase':true}}",
                "{'kind':'mark-days','first':'2026-10-17','last':'2026-10-18','as':'teaches'}",
                "{'kind':'mark-days','first':'2026-10-13','last':'2026-10-13','as':'runs-as','weekday':'MO'}",
                "{'kind':'first-plan-day','day':'2026-09-14'}",
                "{'kind':'first-plan-day'}",
                "{'kind':'set-rotation','rotation':{'letters':['A','B','C'],'advances':'weekdays','restarts':{'2026-10-14':'B'}}}",
                "{'kind':'set-rotation'}",
                "{'kind':'restore-session','course':'C','section':'A','session':'2026-10-05T10:00'}",
                "{'kind':'change-series','course':'C','section':'A','pattern':1,'from':'2026-10-01','meets':{'letters':['A','B'],'start':'09:00','minutes':50,'link':'x'}}",
                "{'kind':'put-roster','course':'C','section':'A','students':[{'id':'1','name':'Wren Oakes','mail':'w@quillmarsh.example'},{'id':'2','name':'Tove Lindqvist'}]}",
                "{'kind':'put-section','course':'C','section':{'code':'L1','instructor':'B. Sayer','partOf':'C/A','pace':'sessions','students':[{'id':'1','name':'Wren Oakes'}]}}",
                "{'kind':'put-course','course':{'code':'C','title':'T','requiredMinutes':2250,'asks':{'credits':3},'usualMinutes':50,'sections':[],'units':[]}}",
                "{'kind':'together','does':'Two','changes':[{'kind':'mark-days','first':'2026-10-17','last':'2026-10-17','as':'usual'},{'kind':'first-plan-day'}]}",
                "{'kind':'put-item','course':'C','unit':'U','item':{'id':'I','title':'Report','within':'F','instructions':'**Draw** it','handIn':'paper','handInPlace':'tray','links':[{'title':'Map','url':'https://maps.example/'}],'files':[{'file':'ab12','name':'Sheet.pdf','publish':false,'from':'2026-10-05T08:00'}],'only':['A'],'audience':'attendees','shared':['D','E/A'],'hidden':true}}",
                "{'kind':'put-lesson','course':'C','unit':'U','lesson':{'id':'L9','title':'Nine','objectives':'Book a reading','steps':[{'minutes':10,'text':'Where we stopped'},{'text':'Walk'}],'links':[{'url':'mailto:a@b.example'}]}}",
                "{'kind':'put-unit','course':'C','unit':{'id':'U','code':'U','title':'U','colour':'moss','due':{'unit':'U','edge':'end'},'lessons':[],'items':[]}}",
                "{'kind':'put-section','course':'C','section':{'code':'B','pace':'sessions','adjustments':[{'item':'I','due':{'at':'2026-10-05T17:00'},'closes':null},{'item':'I','student':'7','due':{'own':'opens','plus':3,'in':'days'},'why':'ill'}]}}",
                "{'kind':'put-dates','entries':[{'course':'C','item':'I','due':{'at':'2026-10-05T17:00'},'closes':null},{'course':'C','item':'J','sections':['A','B'],'opens':{'lesson':'L1','edge':'end'}}]}",
                "{'kind':'redate','course':'C','items':['I','J'],'sections':['A'],'dates':['due','closes'],'by':-2,'in':'teaching-days'}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['due'],'clear':true}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['due'],'time':'17:00'}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['due'],'snapTo':'FR','snap':'on-or-before'}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['due'],'toClass':'previous'}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['opens'],'fix':true}",
                "{'kind':'redate','course':'C','items':['I'],'dates':['opens'],'follow':true}",
                "{'kind':'date-unit','course':'C','section':'A','unit':'U','to':'2026-10-09'}",
                "{'kind':'arrange-lessons','course':'C','lessons':['L1'],'unit':'U','before':'L2'}",
                "{'kind':'arrange-unit','course':'C','unit':'U','before':'V'}",
                "{'kind':'put-session-links','course':'C','section':'A','session':'2026-10-05T10:00',"
                        + "'links':[{'title':'Film','url':'https://films.example/1'}]}",
                "{'kind':'set-publishing','course':'C','publishing':{'language':'de','linkAroundClass':true}}",
                "{'kind':'put-reminders','course':'C','reminders':[{'id':'r','kinds':['quiz'],'marked':true,'before':'closes','lead':{'minutes':60}},{'id':'s','before':'session','lead':{'days':1,'at':'09:00'},'to':'instructor','feed':false}]}",
                "{'kind':'put-office-hours','hours':{'id':'oh','title':'Office hours','courses':['C'],'windows':[{'rule':'FREQ=WEEKLY;BYDAY=TU','start':'13:00','minutes':60,'place':'Weir House 1'}],"
                        + "'booking':{'minutes':15,'pause':5,'places':4,'groupFrom':2,'groupTo':4,'aWeek':1,'aTerm':5,'fromDays':7,'untilHours':2,'giveBackHours':3,'namesSeen':true},'howToCome':'Knock','onDaysOff':true,"
                        + "'changes':[{'cancel':'2026-09-15T13:20'},{'move':'2026-09-15T13:00','to':'2026-09-16T09:00'},{'add':'2026-09-17T09:00','minutes':15}],'blocked':['2026-09-22T13:00']}}",
                "{'kind':'remove-office-hours','id':'oh'}",
                "{'kind':'change-slots','hours':'oh','slot':'2026-09-15T13:00','as':'move','reach':'on','to':'2026-09-16T09:00','minutes':30}",
                "{'kind':'set-draft','course':'C','units':['U'],'items':['I'],'draft':true}",
                "{'kind':'put-adjustment','course':'C','section':'A','adjustment':{'item':'I','student':'7','due':{'at':'2026-10-20T17:00'},'why':'ill'}}",
                "{'kind':'order-day','course':'C','items':['I','J']}",
                "{'kind':'arrange-items','course':'C','items':['I'],'unit':'U','lesson':'L1','within':'F','before':'J'}",
                "{'kind':'put-notice','course':'C','notice':{'id':'trip','unit':'U','title':'Trip','text':'Bring **boots**','place':'Weir','links':[{'url':'https://maps.example/'}],'allDay':true,'begins':{'item':'I','date':'closes','plus':-2,'in':'days'},'ends':{'own':'begins','plus':3,'in':'days'},'sections':[{'section':'B','begins':{'at':'2026-10-05T08:15'}}],'only':['A','B'],'shared':['D','E/A'],'hiddenUntil':{'at':'2026-10-01T08:00'}}}",
                "{'kind':'put-notice','course':'C','notice':{'id':'hut','title':'Hut','reach':'everyone','repeats':[{'rule':'FREQ=WEEKLY;BYDAY=TH','from':'2026-09-10','until':'2026-10-01','time':'15:00','minutes':90},{'rule':'FREQ=DAILY','time':'09:00'}],'instead':{'2026-09-17':'2026-09-18T15:00','2026-09-24':null}}}",
                "{'kind':'put-notice','course':'C','notice':{'id':'own','title':'Mine','reach':'own','repeats':[{'rule':'FREQ=DAILY'}]}}",
                "{'kind':'arrange-notice','course':'C','notice':'hut','unit':'U','before':'trip'}",
                "{'kind':'remove-notice','course':'C','notice':'hut'}",
                "{'kind':'move-notice','course':'C','section':'A','notice':'hut','entry':'2026-09-17','to':'2026-09-18'}",
                "{'kind':'move-notice','course':'C','notice':'hut','entry':'2026-09-17'}",
                "{'kind':'set-length','course':'C','section':'A','lesson':'L1','length':2}",
                "{'kind':'set-length','course':'C','section':'A','lesson':'L1'}",
                "{'kind':'join','course':'C','section':'A','lesson':'L2','join':true}",
                "{'kind':'begin-mid-week','course':'C','section':'A','lesson':'L2','anyDay':false}",
                "{'kind':'set-weights','course':'C','weights':{'leaveOut':12}}",
                "{'kind':'set-gap','course':'C','section':'A','lesson':'L2','empty':0}",
                "{'kind':'move-notice','course':'C','notice':'hut','entry':'2026-09-17','to':'2026-09-17','time':'16:30'}",
                "{'kind':'change-notice-series','course':'C','notice':'hut','from':'2026-09-24','repeat':{'rule':'FREQ=WEEKLY;BYDAY=MO'}}",
                "{'kind':'change-notice-series','course':'C','notice':'hut','from':'2026-09-24'}",
                "{'kind':'put-rhythm','course':'C','rhythm':{'id':'lab','title':'Labs','unit':'U','weekdays':['WE','FR'],'words':'lab','every':2,'begin':3,'times':4,'yielded':{'A':4,'B':3},'parts':[{'id':'quiz','kind':'quiz','title':'Quiz {n}','minutes':20,'opens':{'rhythm':'lab','edge':'end'},'closes':{'rhythm':'lab','number':2,'edge':'end','plus':5,'in':'days','time':'17:00'},'remind':{'plus':1,'in':'hours'}}]}}",
                "{'kind':'remove-rhythm','course':'C','rhythm':'lab'}",
                "{'kind':'put-day-note','course':'C','note':{'date':'2026-10-07','section':'A','text':'Tape','own':true}}",
                "{'kind':'put-week-note','course':'C','note':{'first':'2026-10-05','headline':'Gauges','targets':['One','Two']}}",
                "{'kind':'set-term','term':{'first':'2026-08-31','last':'2026-12-18','weekdays':['MO'],'weekStart':'SU','closures':[],'runsAs':{'2026-10-13':'MO'}}}");
    }

    @ParameterizedTest
    @MethodSource("changes")
    void isTheSameThereAndBack(String json) {
        ChangeJson.Reading reading = ChangeJson.read(Json.read(json.replace('\'', '"')));
        assertThat(reading.faults()).isEmpty();
        String written = Json.MAPPER.writeValueAsString(ChangeJson.write(reading.change()));
        assertThat(ChangeJson.read(Json.read(written)).change()).isEqualTo(reading.change());
    }

    /** Every class that is a change, in whichever room of the rules. */
    private static List<Class<?>> kinds() {
        return new ClassFileImporter()
                .importPackages("app.matsuri.core.change").stream()
                        .filter(c -> c.isAssignableTo(Change.class) && !c.isInterface() && !c.isAnonymousClass())
                        .filter(c -> !c.getFullName().contains("Test"))
                        .<Class<?>>map(JavaClass::reflect)
                        .toList();
    }

    /** The first class that is a change without a line, an example or a schema is named here. */
    @Test
    void everyKindIsWrittenReadBackAndInTheSchema() {
        Map<Class<?>, String> examples = new HashMap<>();
        changes()
                .map(json -> json.replace('\'', '"'))
                .forEach(json ->
                        examples.put(ChangeJson.read(Json.read(json)).change().getClass(), json));
        Map<String, Object> definitions = new HashMap<>(ChangeJson.definitions());
        List<Class<?>> kinds = kinds();
        for (Class<?> kind : kinds) {
            assertThat(examples.containsKey(kind))
                    .as("an example above for %s", kind)
                    .isTrue();
            String name = Json.read(examples.get(kind)).path("kind").stringValue();
            assertThat(definitions).containsKey(name);
        }
        assertThat(ChangeKinds.names()).hasSize(kinds.size());
    }

    /** The schema takes every example, as it was written by hand and as it is written here, and refuses each without its fields. */
    @ParameterizedTest
    @MethodSource("changes")
    void theSchemaTakesIt(String json) throws Exception {
        String given = json.replace('\'', '"');
        assertThat(SCHEMA.validate(given, InputFormat.JSON)).isEmpty();
        String written = Json.MAPPER.writeValueAsString(
                ChangeJson.write(ChangeJson.read(Json.read(given)).change()));
        assertThat(SCHEMA.validate(written, InputFormat.JSON)).as(written).isEmpty();
        String kind = Json.read(given).path("kind").stringValue();
        assertThat(SCHEMA.validate("{\"kind\":\"" + kind + "s\"}", InputFormat.JSON))
                .isNotEmpty();
    }

    @Test
    void aNoticeIsOnceOrASeriesAndSaysWhen() {
        assertThat(faults("{\"kind\":\"put-notice\",\"course\":\"C\",\"notice\":{\"id\":\"x\",\"title\":\"X\"}}"))
                .contains("/notice");
        assertThat(faults("{\"kind\":\"put-notice\",\"course\":\"C\",\"notice\":{\"id\":\"x\",\"title\":\"X\","
                        + "\"begins\":{\"at\":\"2026-10-05T08:00\"},\"repeats\":[{\"rule\":\"FREQ=DAILY\"}]}}"))
                .contains("/notice");
        assertThat(faults("{\"kind\":\"put-rhythm\",\"course\":\"C\",\"rhythm\":{\"id\":\"r\",\"title\":\"R\","
                        + "\"unit\":\"U\",\"every\":0,\"parts\":[]}}"))
                .contains("/rhythm/every");
    }

    @Test
    void aNumberThatIsNoneIsSaidAlsoWhereItWasReadAsABinaryFraction() {
        String json =
                "{\"kind\":\"put-item\",\"course\":\"C\",\"unit\":\"U\",\"item\":{\"id\":\"I\",\"kind\":\"essay\",\"title\":\"E\",\"points\":1E+999999999}}";
        assertThat(ChangeJson.read(JsonMapper.shared().readTree(json)).faults())
                .extracting(Fault::pointer)
                .containsExactly("/item/points");
    }

    @Test
    void whatIsMissingOrWrongIsSaidWithItsPlace() {
        assertThat(faults("{}")).containsExactly("");
        assertThat(faults("{\"kind\":\"shift\",\"course\":\"C\",\"by\":1}")).containsExactly("");
        assertThat(faults("{\"kind\":\"move\",\"course\":\"C\",\"items\":[1],\"to\":\"soon\"}"))
                .containsExactly("/items/0", "/to");
        assertThat(faults("{\"kind\":\"add-closure\",\"closure\":{\"first\":\"2026-10-09\",\"last\":\"2026-10-08\"}}"))
                .containsExactly("/closure/last");
        assertThat(faults("{\"kind\":\"redate\",\"course\":\"C\",\"items\":[\"I\"],\"dates\":[\"due\"]}"))
                .containsExactly("");
        assertThat(faults("{\"kind\":\"redate\",\"course\":\"C\",\"items\":[\"I\"],\"dates\":[\"soon\"],\"by\":0}"))
                .contains("/dates/0", "/by");
        assertThat(
                        faults(
                                "{\"kind\":\"put-item\",\"course\":\"C\",\"item\":{\"id\":\"I\",\"title\":\"T\",\"links\":[{\"url\":\"javascript:x\"}]}}"))
                .containsExactly("/item/links/0/url");
        assertThat(faults("[]")).containsExactly("");
    }

    private static java.util.List<String> faults(String json) {
        ChangeJson.Reading reading = ChangeJson.read(Json.read(json));
        assertThat(reading.change()).isNull();
        return reading.faults().stream().map(Fault::pointer).toList();
    }
}
