/** Where the one program of the keeper's page lies; the page does without it. */
export const SLIDER_PATH = '/keeper-photos.js';

/**
 * Lays the two pictures of a pair over each other and lets their edge be slid, by finger or by the arrow keys. Without it they
 * stand beside each other.
 */
export const SLIDER = `for (const pair of document.querySelectorAll('.pair')) {
  const then = pair.querySelector('.then');
  const edge = document.createElement('input');
  edge.type = 'range';
  edge.value = '50';
  edge.setAttribute('aria-label', pair.getAttribute('aria-label') || '');
  const slide = () => { then.style.clipPath = 'inset(0 ' + (100 - edge.value) + '% 0 0)'; };
  edge.addEventListener('input', slide);
  pair.classList.add('slid');
  pair.append(edge);
  slide();
}
`;
