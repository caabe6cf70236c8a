<x-page :title="$section->name . ', land'" :layout="$layout" :section="$section" current="land">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="land.show" :pinned="$pinned" />
        @include('land.views')
    </div>
</x-page>
