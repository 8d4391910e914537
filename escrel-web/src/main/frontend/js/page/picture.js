// A picture as PNG, twice the size, drawn from the same SVG.
export function startPicture(document) {
  document.addEventListener("click", (event) => {
    const link = event.target.closest("a[data-png]");
    if (!link) return;
    event.preventDefault();
    const picture = new Image();
    picture.onload = () => {
      const canvas = document.createElement("canvas");
      canvas.width = 2 * picture.naturalWidth;
      canvas.height = 2 * picture.naturalHeight;
      canvas.getContext("2d").drawImage(picture, 0, 0, canvas.width, canvas.height);
      canvas.toBlob((blob) => {
        const save = document.createElement("a");
        save.href = URL.createObjectURL(blob);
        save.download = link.dataset.png;
        save.click();
        setTimeout(() => URL.revokeObjectURL(save.href), 10000);
      });
    };
    picture.src = link.href;
  });
}
