import { TextButton } from "~app/ui/TextButton";
import { NumberInput } from "~app/ui/NumberInput";
import { Button, DatePicker, TimePicker } from "antd";
import dayjs from "dayjs";
import { useState } from "react";
import type { PlanningRecords } from "~app/data/planning";
import { longDay } from "~app/ui/days";
import { TypedField } from "~app/ui/TypedField";
import { useEdits } from "~app/ui/useEdits";
import { useSettings } from "~app/ui/useWording";
import { minutesInWords } from "~core/cycle/dayPlan";
import { appointmentSchema, type Appointment } from "~core/record/appointment";
import { change, make } from "~core/record/change";
import { settingsSchema } from "~core/record/settings";
import { fail, ok, type Result } from "~core/result";
import { BringIn } from "./BringIn";
import { placeInWords, readHours, readPlace, hoursInWords } from "~core/rounds/typed";

const WEEK = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"] as const;

/** What a day has: where it begins, its hours, and time that is taken already. */
export function DaysView({ appointments, today }: PlanningRecords & { today: string }) {
  const { save } = useEdits();
  const whole = useSettings();
  const settings = whole.rounds;
  const number = (key: "speedKmh" | "stopMinutes", label: string, unit: string) => (
    <TypedField
      label={label}
      unit={unit}
      draftKey={`rounds/${key}`}
      stored={settings[key]}
      show={String}
      read={(text) => readSetting(key, text)}
      edit={(_, value) => change("settings", whole, ["rounds", key], value, label)}
    />
  );
  return (
    <div className="days-view">
      <section>
        <h2>Home and road</h2>
        <div className="days-fields">
          <TypedField
            label="Home, latitude and longitude"
            unit="°"
            placeholder="54.33, -1.80"
            draftKey="rounds/home"
            stored={settings.home}
            show={placeInWords}
            read={readPlace}
            edit={(_, value) => change("settings", whole, ["rounds", "home"], value, "home")}
          />
          {number("speedKmh", "Speed on the road", "km/h")}
          {number("stopMinutes", "Getting in and out at a yard", "min")}
          <div className="spec-field">
            <span id="leaves">Leaves home</span>
            <TimePicker
              aria-labelledby="leaves"
              format="HH:mm"
              minuteStep={5}
              allowClear={false}
              needConfirm={false}
              value={dayjs(`2000-01-01T${settings.leaves}`)}
              onChange={(time: dayjs.Dayjs | null) => {
                if (time)
                  void save(
                    change("settings", whole, ["rounds", "leaves"], time.format("HH:mm"), "leaves home"),
                  );
              }}
            />
          </div>
        </div>
      </section>
      <section>
        <h2>Hours, home to home</h2>
        <div className="days-fields days-week">
          {WEEK.map((name, index) => (
            <TypedField
              key={name}
              label={name}
              unit="h"
              draftKey={`rounds/week.${index}`}
              stored={settings.week[index] ?? 0}
              show={hoursInWords}
              read={readHours}
              edit={(_, value) =>
                change("settings", whole, ["rounds", "week", `${index}` as "0"], value, `hours of ${name}`)
              }
            />
          ))}
        </div>
        <p className="quiet">0 is a day off.</p>
      </section>
      <Appointments appointments={appointments} today={today} />
    </div>
  );
}

function readSetting(key: "speedKmh" | "stopMinutes", text: string): Result<number> {
  const value = Number(text.trim().replace(",", "."));
  if (text.trim() === "" || !Number.isFinite(value))
    return fail("not-a-number", key, `“${text}” is not a number.`);
  const shape: typeof settingsSchema.shape.rounds = settingsSchema.shape.rounds;
  const read = shape.unwrap().shape[key].safeParse(value);
  return read.success ? ok(value) : fail("range", key, read.error.issues[0]?.message ?? "");
}

/** Time that is taken: the dentist, the steel delivery, a day off. */
function Appointments({ appointments, today }: { appointments: Appointment[]; today: string }) {
  const { save } = useEdits();
  const [typed, setTyped] = useState({ date: today, at: "09:00", minutes: "60", title: "" });
  const [issue, setIssue] = useState<string>();
  const add = () => {
    const id = crypto.randomUUID();
    const read = appointmentSchema.safeParse({
      id,
      date: typed.date,
      at: typed.at,
      minutes: Number(typed.minutes.replace(",", ".")),
      title: typed.title.trim(),
    });
    if (!read.success) {
      setIssue(read.error.issues[0]?.message);
      return;
    }
    setIssue(undefined);
    setTyped({ ...typed, title: "" });
    void save(make("appointments", read.data, read.data.title));
  };
  const coming = appointments.filter(({ date }) => date >= today);
  return (
    <section>
      <h2>Taken already</h2>
      {coming.length === 0 && <p className="quiet">Nothing is booked.</p>}
      <ul className="booked">
        {coming
          .sort((a, b) => `${a.date}${a.at}`.localeCompare(`${b.date}${b.at}`))
          .map((one) => (
            <li key={one.id}>
              <span className="strong">{longDay(one.date)}</span>
              <span>
                {one.at}, {minutesInWords(one.minutes)}
              </span>
              <span>{one.title}</span>
              <TextButton
                aria-label={`Remove ${one.title}`}
                onClick={() =>
                  void save({
                    table: "appointments",
                    id: one.id,
                    path: [],
                    was: one,
                    now: undefined,
                    label: one.title,
                  })
                }
              >
                Remove
              </TextButton>
            </li>
          ))}
      </ul>
      <form
        className="days-fields"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <div className="spec-field">
          <span id="booked-day">Day</span>
          <DatePicker
            aria-labelledby="booked-day"
            allowClear={false}
            format="D MMM YYYY"
            value={dayjs(typed.date)}
            onChange={(date: dayjs.Dayjs | null) => {
              if (date) setTyped({ ...typed, date: date.format("YYYY-MM-DD") });
            }}
          />
        </div>
        <div className="spec-field">
          <span id="booked-at">From</span>
          <TimePicker
            aria-labelledby="booked-at"
            format="HH:mm"
            minuteStep={5}
            allowClear={false}
            needConfirm={false}
            value={dayjs(`2000-01-01T${typed.at}`)}
            onChange={(time: dayjs.Dayjs | null) => {
              if (time) setTyped({ ...typed, at: time.format("HH:mm") });
            }}
          />
        </div>
        <label className="spec-field">
          <span>Minutes</span>
          <span className="spec-number">
            <NumberInput
              inputMode="numeric"
              view={{ text: typed.minutes }}
              onType={(minutes) => setTyped({ ...typed, minutes })}
            />
            <span className="quiet">min</span>
          </span>
        </label>
        <label className="spec-field booked-title">
          <span>What</span>
          <span className="spec-number">
            <NumberInput
              inputMode="text"
              view={{ text: typed.title }}
              onType={(title) => setTyped({ ...typed, title })}
            />
          </span>
        </label>
        <Button htmlType="submit">Book it</Button>
      </form>
      {issue && (
        <p className="ember" role="alert">
          {issue}
        </p>
      )}
      <BringIn appointments={appointments} today={today} />
    </section>
  );
}
