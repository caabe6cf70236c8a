<x-page title="The plan, what if" :layout="$layout" :section="$first" current="drying">
    <div class="frame">
        <x-rail :layout="$layout" :boards="$rail" route="coats.show" />
        <main class="page bench-page" id="land">
            <div class="title">
                <h1>The plan</h1>
                <x-plan-tabs :layout="$layout" on="what-if.show" />
            </div>
            <x-said />
            @php($v = fn(string $key, string $else = ''): string => is_scalar($input[$key] ?? null) ? (string) $input[$key] : $else)
            <div class="cols even">
                @include('drying.what-if.change')
                @include('drying.what-if.answer')
            </div>
        </main>
    </div>
</x-page>
