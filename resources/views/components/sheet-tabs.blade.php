@props(['layout', 'on'])
<x-tabs
    :layout="$layout"
    :on="$on"
    label="About the whole layout"
    :tabs="[
        'layouts.settings' => 'Boards and rooms',
        'whole.show' => 'Whole layout',
        'carrying.show' => 'Carrying',
        'curves.show' => 'Curves and sizes',
        'history.show' => 'History',
    ]"
/>
