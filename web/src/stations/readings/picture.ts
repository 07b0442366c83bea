/** Save the strips as they are drawn, one under another, as PNG. */
export function savePicture() {
  const strips = [...document.querySelectorAll<HTMLCanvasElement>("[data-strip-of] canvas")];
  if (!strips.length) return;
  const picture = document.createElement("canvas");
  picture.width = Math.max(...strips.map((s) => s.width));
  picture.height = strips.reduce((sum, s) => sum + s.height, 0);
  const ctx = picture.getContext("2d");
  if (!ctx) return;
  ctx.fillStyle = getComputedStyle(document.documentElement).getPropertyValue("--slip").trim();
  ctx.fillRect(0, 0, picture.width, picture.height);
  let y = 0;
  for (const strip of strips) {
    ctx.drawImage(strip, 0, y);
    y += strip.height;
  }
  picture.toBlob((blob) => {
    if (!blob) return;
    const link = document.createElement("a");
    link.href = URL.createObjectURL(blob);
    link.download = "readings.png";
    link.click();
    setTimeout(() => URL.revokeObjectURL(link.href), 1000);
  }, "image/png");
}
