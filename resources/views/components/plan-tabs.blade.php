@props(['layout', 'on'])
<x-tabs
    :layout="$layout"
    :on="$on"
    label="Questions to the plan"
    :tabs="['what-if.show' => 'What if …?', 'by.show' => 'What by then?', 'bench.show' => 'Planned how?']"
/>
