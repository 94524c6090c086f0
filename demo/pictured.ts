import type { Photo } from "~core/photo/photoRecord";
import type { Records } from "~core/record/tables";
import { PICTURES } from "./pictures";

/** The photographs of the demo round, each with the file that holds its picture. They are called simulated. */
export function demoPhotos(records: Pick<Records, "horses" | "visits">): { photo: Photo; file: string }[] {
  return PICTURES.flatMap(({ file, horse, back, ...picture }, index) => {
    const of = records.horses.find(({ name }) => name === horse);
    const visit = records.visits
      .filter(({ horseId, status }) => horseId === of?.id && status === "signed")
      .at(-back);
    if (!of || !visit) return [];
    const time = picture.moment === "before" ? "09:10" : "10:40";
    const photo: Photo = {
      id: `demo-photo-${index + 1}`,
      visitId: visit.id,
      horseId: of.id,
      date: visit.date,
      takenAt: `${visit.date}T${time}:00Z`,
      pictureId: `demo-picture-${index + 1}`,
      simulated: true,
      ...picture,
    };
    return [{ photo, file }];
  });
}
