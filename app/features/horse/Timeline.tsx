import { useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { usePicture } from "~app/ui/usePicture";
import { shortDay } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { visitFoot, type FootRecords } from "~core/visit/visitFoot";
import { LIMBS } from "~core/foot/limb";
import type { Photo } from "~core/photo/photoRecord";
import { PHOTO_VIEW_FACTS } from "~core/photo/views";
import type { Visit } from "~core/record/visit";

interface TimelineProps {
  visits: readonly Visit[];
  records: FootRecords;
}

/** The visits, newest first: toe length before and after of each foot, what was said, and its pictures. */
export function Timeline({ visits, records }: TimelineProps) {
  const wording = useWording();
  if (visits.length === 0) return null;
  const picturesOf = (visit: Visit) => records.photos.filter(({ visitId }) => visitId === visit.id);
  const pictured = visits.some((visit) => picturesOf(visit).length > 0);
  const show = (mm: number | undefined) =>
    mm === undefined ? "–" : wording.length(mm).replace(/ (mm|in)$/, "");
  return (
    <section className="timeline" aria-label="Visits">
      <h2>Visits</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
            {LIMBS.map((limb) => (
              <th scope="col" key={limb}>
                {limb} toe, {wording.unit}
              </th>
            ))}
            <th scope="col">Watch, notes</th>
            {pictured && <th scope="col">Pictures</th>}
          </tr>
        </thead>
        <tbody>
          {visits.toReversed().map((visit) => (
            <tr key={visit.id}>
              <th scope="row">
                <Link className="link" to={`/visits/${visit.id}`}>
                  {shortDay(visit.date)}
                </Link>
                {visit.job && <span className="quiet"> {visit.job}</span>}
                {visit.status !== "signed" && <span className="brass"> {visit.status}</span>}
              </th>
              {LIMBS.map((limb) => {
                const { values } = visitFoot(visit, limb, records);
                return (
                  <td key={limb}>
                    {show(values.before.toeLength?.value)} → <b>{show(values.after.toeLength?.value)}</b>
                  </td>
                );
              })}
              <td className="timeline-notes">
                {[visit.watch, ...Object.values(visit.notes)].filter(Boolean).join(" · ")}
              </td>
              {pictured && (
                <td>
                  <Pictures photos={picturesOf(visit)} to={`/visits/${visit.id}/survey`} />
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** As many pictures as a row shows; the visit has the rest. */
const SHOWN = 4;

/** The pictures of one visit, small, read from the store when their row comes into sight. */
function Pictures({ photos, to }: { photos: readonly Photo[]; to: string }) {
  const row = useRef<HTMLSpanElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!row.current || photos.length === 0) return;
    const watch = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) setSeen(true);
    });
    watch.observe(row.current);
    return () => watch.disconnect();
  }, [photos.length]);
  return (
    <span ref={row} className="timeline-pictures">
      {seen && photos.slice(0, SHOWN).map((photo) => <Thumb key={photo.id} photo={photo} to={to} />)}
      {photos.length > SHOWN && <Link to={to}>{`and ${photos.length - SHOWN} more`}</Link>}
    </span>
  );
}

function Thumb({ photo, to }: { photo: Photo; to: string }) {
  const { url } = usePicture(photo.pictureId);
  const name = `${photo.limb}, ${PHOTO_VIEW_FACTS[photo.view].name.toLowerCase()}`;
  return url ? (
    <Link to={to} title={name}>
      <img src={url} alt={name} />
    </Link>
  ) : null;
}
