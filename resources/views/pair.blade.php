<x-page title="Pair">
    <main class="page pair-page" id="land">
        <section class="sheet">
            <header><h1>Pair this device</h1></header>
            <form class="in stack" method="post" action="{{ route('pair.store') }}">
                @csrf
                <p>The code stands at the bench, under Devices on the list of layouts. It lets one device in.</p>
                <x-field name="code" label="Code" :value="$code" hint="eight letters and digits; capitals or not" />
                <x-field name="name" label="What this device is called" hint="such as “phone in the workroom”" />
                <div class="acts"><button class="btn">Pair</button></div>
            </form>
        </section>
    </main>
</x-page>
