<template>
  <svg width="15" height="20" viewBox="0 0 15 20" aria-hidden="true">
    <path d="M4.5 2.6h6M4.5 17.4h6M7.5 0v2.4M7.5 17.6V20" stroke="currentColor" stroke-width="1.5" />
    <path d="M4.4 4h6.2c2.6 2 3.6 4 3.6 6s-1 4-3.6 6H4.4C1.8 14 .8 12 .8 10s1-4 3.6-6Z" fill="#C93A28" />
    <path d="M1.2 8h12.6M1.2 12h12.6" stroke="#F7F2E7" />
  </svg>
</template>
