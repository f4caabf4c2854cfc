/** What looks and is called like a link without being one on the page is followed by Enter as one. */
export const followedByEnter = (follow: () => void) => ({
  onKeyDown: (event: { key: string; preventDefault: () => void }) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    follow();
  },
});
