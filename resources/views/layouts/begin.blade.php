<x-page title="A new layout">
    <main class="page wide begin" id="land">
        <div class="title">
            <h1>A new layout</h1>
            <div class="sub">
                Three questions, and a board to begin from.<br>
                All of it can be changed on the bench.
            </div>
        </div>
        @include('layouts.beginning')
    </main>
</x-page>
