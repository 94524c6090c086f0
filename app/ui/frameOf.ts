/** The frame that a video shows, as a picture; undefined where the browser cannot make one. */
export async function frameOf(video: HTMLVideoElement): Promise<Blob | undefined> {
  const canvas = document.createElement("canvas");
  canvas.width = video.videoWidth;
  canvas.height = video.videoHeight;
  canvas.getContext("2d")?.drawImage(video, 0, 0);
  return new Promise((done) => canvas.toBlob((made) => done(made ?? undefined), "image/jpeg", 0.92));
}
