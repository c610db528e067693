<script setup lang="ts">
import { alsoIn } from "../change/shared";
import RemoveShared from "../thing/RemoveShared.vue";
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref, shallowRef } from "vue";
import type { Change, Schemas, WallView } from "../api/client";
import { courseOf } from "../api/plan";
import FilesAndLinks from "../thing/FilesAndLinks.vue";
import DateField from "../ui/DateField.vue";
import MarkdownField from "../ui/MarkdownField.vue";
import { weekdayDay } from "../ui/say";
import TimeField from "../ui/TimeField.vue";
import { useFirstField } from "../ui/useFirstField";
import RuleField from "../ui/RuleField.vue";
import { itemsOf } from "../change/outline";
import { injectWall } from "../change/useWall";
import RepeatDates from "../rhythm/RepeatDates.vue";
import NoticeWhen from "./NoticeWhen.vue";
import { type Repeat, type When, onDays } from "../thing/when";

/** Makes or edits a notice; of a series one entry, all from it on, or all. */
const props = defineProps<{
  wall: WallView;
  /** Id of the notice; empty for a new one. */
  notice: string;
  /** The day that names an entry of a series; empty for none. */
  entry: string;
  /** A day to begin with. */
  day: string;
  /** The course from which a shared one is looked at, where it is another. */
  from?: string | undefined;
}>();
const emit = defineEmits<{ done: [] }>();

type Notice = Schemas["PlanNotice"];
const { propose, problem, busy, termId } = injectWall();
const { course, section } = props.wall.section;
const form = ref<Notice>({ id: "", title: "", ...onDays(props.day) });
const loaded = ref(false);
const plan = shallowRef<Pick<Schemas["PlanCourse"], "sections" | "notices">>({});
const how = ref<"one" | "onward" | "all">(props.entry ? "one" : "all");
const to = ref(props.entry);
const shown = props.wall.weeks
  .flatMap((w) => w.days)
  .flatMap((d) => d.notices)
  .find((n) => n.course === course && n.id === props.notice && n.entry === props.entry);
if (shown) to.value = shown.begins.slice(0, 10);
/** An entry's time of day; empty for whole days. */
const wasAt = shown && !shown.allDay ? shown.begins.slice(11, 16) : "";
const at = ref(wasAt);
const onward = ref<When>({ repeats: [] });
const more = ref(false);

const sections = computed(() => (plan.value.sections ?? []).map((s) => s.code));
const others = computed(() => [...new Set(props.wall.sections.map((s) => s.course).filter((c) => c !== course))]);
const work = computed(() => itemsOf(props.wall).map((i) => ({ id: i.id, title: i.title })));
const series = computed(() => !!form.value.repeats?.length);

onMounted(async () => {
  problem.value = "";
  plan.value = (await courseOf(termId, course)) ?? plan.value;
  const found = plan.value.notices?.find((n) => n.id === props.notice);
  if (found) {
    form.value = structuredClone(found);
    const last = found.repeats?.[found.repeats.length - 1];
    if (last) onward.value = { repeats: [{ ...last, from: undefined } as Repeat] };
    more.value = !!(found.hiddenUntil ?? found.shared?.length ?? found.sections?.length);
  }
  loaded.value = true;
});
useFirstField(
  () => loaded.value,
  () => (how.value === "one" ? "notice-to" : "notice-title"),
);

const when = computed<When>({
  get: () => {
    const { allDay, begins, ends, repeats, instead } = form.value;
    return { allDay, begins, ends, repeats, instead };
  },
  set: (now) => {
    // what happened to single entries of a series stays while it is one
    const instead = now.repeats?.length ? form.value.instead : undefined;
    Object.assign(form.value, { allDay: undefined, begins: undefined, ends: undefined, repeats: undefined }, now, {
      instead,
    });
  },
});
const isFor = (code: string) => !form.value.only?.length || form.value.only.includes(code);
function setFor(code: string, on: boolean) {
  const now = sections.value.filter((s) => (s === code ? on : isFor(s)));
  if (now.length) form.value.only = now.length === sections.value.length ? undefined : now;
}
/** With whose classes a file can come. */
const lessons = computed(() => props.wall.outline.units.flatMap((u) => u.lessons));
/** The other courses that have it, too: as it stands, not as it is being changed. */
const everywhere = computed(() => {
  const stands = plan.value.notices?.find((n) => n.id === props.notice);
  return stands?.reach === "everyone" ? others.value : (stands?.shared ?? []);
});
const sharedWith = (code: string) => !!form.value.shared?.includes(code);
function share(code: string, on: boolean) {
  form.value.shared = [...(form.value.shared ?? []).filter((c) => c !== code), ...(on ? [code] : [])];
}
const ownTime = (code: string) => form.value.sections?.find((s) => s.section === code);
function setOwnTime(code: string, time: When | null) {
  const rest = (form.value.sections ?? []).filter((s) => s.section !== code);
  form.value.sections = time ? [...rest, { section: code, ...time }] : rest;
}
const timeOf = (code: string): When => {
  const { allDay, begins, ends, repeats, instead } = ownTime(code) ?? {};
  return { allDay, begins, ends, repeats, instead };
};

/** Without what is empty: the plan file leaves defaults out. */
function clean(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(clean);
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined && v !== "" && v !== false && !(Array.isArray(v) && v.length === 0))
      .map(([k, v]) => [k, k === "instead" ? v : clean(v)]),
  );
}
function newId() {
  const taken = new Set(plan.value.notices?.map((n) => n.id));
  const stem =
    form.value.title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, "-")
      .replace(/^-|-$/g, "")
      .slice(0, 40) || "notice";
  let id = stem;
  for (let n = 2; taken.has(id); n++) id = `${stem}-${n}`;
  return id;
}
const found = shallowRef<Schemas["RepeatsRead"] | null>(null);
/** Leaves out the entries that fall on days off. */
function leaveOut() {
  const off = (found.value?.dates ?? []).filter((d) => d.off && d.first).map((d) => [d.first!, null] as const);
  form.value.instead = { ...form.value.instead, ...Object.fromEntries(off) };
}
async function send(change: Change) {
  if (await propose(change)) emit("done");
}
function save() {
  const base = { course, notice: props.notice };
  if (how.value === "one") {
    const time = at.value && at.value !== wasAt ? { time: at.value } : {};
    return send({ kind: "move-notice", section, ...base, entry: props.entry, to: to.value, ...time });
  }
  if (how.value === "onward") {
    return send({
      kind: "change-notice-series",
      ...base,
      from: props.entry,
      repeat: clean(onward.value.repeats?.[0]) as Schemas["PlanRepeat"],
    });
  }
  if (!form.value.id) form.value.id = newId();
  return send({ kind: "put-notice", course, notice: clean(form.value) as Schemas["PlanNotice"] });
}
function remove() {
  const base = { course, notice: props.notice };
  if (how.value === "one") return send({ kind: "move-notice", section, ...base, entry: props.entry });
  if (how.value === "onward") return send({ kind: "change-notice-series", ...base, from: props.entry });
  return send({ kind: "remove-notice", ...base });
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="notice ? 'Edit notice' : 'A notice'"
    :style="{ width: '760px' }"
    @update:visible="emit('done')"
  >
    <form v-if="loaded" class="form" @submit.prevent="save">
      <div v-if="entry" class="wide ticks">
        <label><input v-model="how" type="radio" value="one" /> only {{ weekdayDay(entry) }}</label>
        <label><input v-model="how" type="radio" value="onward" /> from then on</label>
        <label><input v-model="how" type="radio" value="all" /> the whole series</label>
      </div>
      <p v-if="everywhere.length" class="wide soft">Of {{ course }}, {{ alsoIn(everywhere) }}: it stays one.</p>
      <template v-if="how === 'one'">
        <span class="wide">{{ form.title }}</span>
        <label for="notice-to">Moves to</label>
        <div class="row">
          <DateField id="notice-to" v-model="to" :term-id="termId" />
          <template v-if="wasAt"
            ><label for="notice-at">at</label>
            <TimeField id="notice-at" v-model="at" :term-id="termId" />
          </template>
        </div>
      </template>
      <template v-else-if="how === 'onward'">
        <span>From {{ weekdayDay(entry) }} on</span>
        <NoticeWhen id="onward" v-model="onward" :term-id="termId" :course="course" :day="entry" :work="work" series />
      </template>
      <template v-else>
        <label for="notice-title">Title</label>
        <input id="notice-title" v-model="form.title" class="field" required maxlength="300" autofocus />
        <span>When</span>
        <NoticeWhen id="notice" v-model="when" :term-id="termId" :course="course" :day="day" :work="work" />
        <div v-if="series" class="wide">
          <RepeatDates
            :term-id="termId"
            :course="course"
            :section="section"
            :change="
              form.title || notice
                ? {
                    kind: 'put-notice',
                    course,
                    notice: clean({ ...form, id: form.id || newId() }) as Schemas['PlanNotice'],
                  }
                : null
            "
            @read="found = $event"
          />
          <button v-if="found?.dates.some((d) => d.off)" type="button" class="btn" @click="leaveOut">
            Leave out those on days off
          </button>
        </div>
        <label for="notice-place">Where</label>
        <input id="notice-place" v-model="form.place" class="field" maxlength="300" />
        <span>Says</span>
        <MarkdownField v-model="form.text" label="Says" />
        <span>Links</span>
        <FilesAndLinks
          :links="form.links ?? []"
          :files="form.files ?? []"
          :term-id="termId"
          :lessons="lessons"
          opens="with the notice"
          :no-unit="!form.unit"
          @update:links="form.links = $event"
          @update:files="form.files = $event"
        />
        <span>For</span>
        <div class="ticks">
          <label><input v-model="form.reach" type="radio" value="own" /> only me</label>
          <label
            ><input
              type="radio"
              name="reach"
              :checked="(form.reach ?? 'course') === 'course'"
              @change="form.reach = undefined"
            />
            {{ course }}</label
          >
          <template v-if="(form.reach ?? 'course') === 'course' && sections.length > 1">
            <label v-for="s in sections" :key="s" class="sub"
              ><input
                type="checkbox"
                :checked="isFor(s)"
                @change="setFor(s, ($event.target as HTMLInputElement).checked)"
              />
              {{ s }}</label
            >
          </template>
          <label><input v-model="form.reach" type="radio" value="everyone" /> every course of the term</label>
        </div>
        <template v-if="more">
          <template v-if="(form.reach ?? 'course') === 'course' && others.length">
            <span>Shared with</span>
            <div class="ticks">
              <label v-for="c in others" :key="c"
                ><input
                  type="checkbox"
                  :checked="sharedWith(c)"
                  @change="share(c, ($event.target as HTMLInputElement).checked)"
                />
                {{ c }}</label
              >
            </div>
          </template>
          <label for="notice-unit">Unit</label>
          <select id="notice-unit" v-model="form.unit" class="field">
            <option :value="undefined">none</option>
            <option v-for="u in wall.outline.units" :key="u.id" :value="u.id">{{ u.code }} {{ u.title }}</option>
          </select>
          <label for="notice-hidden">Hidden until</label>
          <RuleField
            id="notice-hidden"
            :model-value="form.hiddenUntil"
            :term-id="termId"
            :course="course"
            lesson=""
            which="opens"
            empty="shown as soon as it is told"
            @update:model-value="form.hiddenUntil = $event ?? undefined"
          />
          <template v-for="s in sections.filter(isFor)" :key="s">
            <template v-if="sections.length > 1 && !series">
              <span>In {{ s }}</span>
              <div>
                <label class="ticks"
                  ><span
                    ><input
                      type="checkbox"
                      :checked="!!ownTime(s)"
                      @change="setOwnTime(s, ($event.target as HTMLInputElement).checked ? onDays(day) : null)"
                    />
                    at another time</span
                  ></label
                >
                <NoticeWhen
                  v-if="ownTime(s)"
                  :id="`in-${s}`"
                  :model-value="timeOf(s)"
                  :term-id="termId"
                  :course="course"
                  :day="day"
                  :work="work"
                  @update:model-value="setOwnTime(s, $event)"
                />
              </div>
            </template>
          </template>
        </template>
      </template>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button v-if="how === 'all' && !more" type="button" class="btn" @click="more = true">More…</button>
        <RemoveShared
          v-if="notice && how === 'all' && everywhere.length"
          :course="course"
          :thing="`notice:${notice}`"
          :shared="everywhere"
          :from="from ?? course"
          :all="{ kind: 'remove-notice', course, notice }"
          @send="send"
        />
        <button v-else-if="notice" type="button" class="btn" @click="remove">
          {{ how === "one" ? "Leave it out" : how === "onward" ? "End it before that" : "Delete" }}
        </button>
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">{{ notice ? "Save" : "Add" }}</button>
      </div>
    </form>
    <p v-else>Looking it up…</p>
  </Dialog>
</template>

<style scoped>
.sub {
  padding-left: 4px;
}
.row {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
