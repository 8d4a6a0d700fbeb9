<!-- the patterns that stretches of days are drawn in -->
<defs>
  <pattern id="tide-tacky" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"
    ><rect width="6" height="6" class="fill-ground" /><path d="M0 0V6" class="stroke-soft" stroke-width="1.2" /></pattern
  >
  <pattern id="tide-scuff" width="5" height="5" patternUnits="userSpaceOnUse"
    ><rect width="5" height="5" class="fill-warnground" /><circle cx="2.5" cy="2.5" r="1" class="fill-warn" /></pattern
  >
</defs>
