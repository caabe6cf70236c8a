<x-page title="Data of a newer version">
    <main class="page wide" id="land">
        <div class="title"><h1>Data of a newer version</h1></div>
        <section class="sheet blank">
            <div class="in stack">
                <p>
                    The data here was written by a newer version of Idle Ridge than this one. It is left as it is: bring the program up to
                    date, or bring back a copy from before with <code>bin/ridge restore</code>.
                </p>
            </div>
        </section>
    </main>
</x-page>
