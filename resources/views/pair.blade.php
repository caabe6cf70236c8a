<x-page title="Pair">
<main class="page pair-page" id="land">
    <section class="sheet"><header><h1>Pair this device</h1></header>
        <form class="in stack" method="post" action="{{ route('pair.store') }}">@csrf<p>The code stands at the bench, where Idle Ridge was started. It lets one device in.</p>
            <x-field name="code" label="Code" mode="numeric" />
            <div class="acts"><button class="btn">Pair</button></div></form></section>
</main>
</x-page>
