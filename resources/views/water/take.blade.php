@if ($bodies !== [])
    <x-full-size
        :layout="$layout"
        :section="$section"
        route="water.take"
        :of="$page->body?->uid"
        note="dams, sheet, mirrors"
    />
@endif
