<defs>
<pattern id="t-efi" width="8" height="8" patternUnits="userSpaceOnUse"><rect width="8" height="8" fill="#e4d3c4"/>
<circle cx="2" cy="2" r="1.3" fill="#a4541f"/><circle cx="6" cy="6" r="1.3" fill="#a4541f"/></pattern>
<pattern id="t-old" width="9" height="9" patternUnits="userSpaceOnUse"><rect width="9" height="9" fill="#d8d3c5"/>
<path d="M0 3h5M4 7h5" stroke="#8b8675" stroke-width="1.2"/></pattern>
<pattern id="t-sys" width="12" height="8" patternUnits="userSpaceOnUse"><rect width="12" height="8" fill="#d7e3e8"/>
<path d="M0 4q3 -3 6 0t6 0" stroke="#1f617f" fill="none"/></pattern>
<pattern id="t-rec" width="7" height="7" patternUnits="userSpaceOnUse"><rect width="7" height="7" fill="#dfe4d6"/>
<path d="M0 7L7 0" stroke="#4f6b2d"/></pattern>
<pattern id="t-data" width="12" height="12" patternUnits="userSpaceOnUse">
<rect width="12" height="12" fill="#e9e4d2"/><path d="M3 1v4M1 3h4M9 7v4M7 9h4" stroke="#6c6653"/></pattern>
</defs>
