<x-base title="Letters">
    <header class="mast narrow"><span class="name"><x-mark />Nomada</span></header>
    <main id="main" tabindex="-1">
        <form class="phone" method="post" action="{{ $address }}">
            @if ($person->letters_stopped_at)
                <h1>No more letters</h1>
                <p>{{ $person->name() }} gets no more letters about registrations and changes.</p><input type="hidden" name="again"
                    value="1"><button class="act">Have them again</button>
            @else<h1>Letters for guardians</h1>
                <p>{{ $person->name() }} gets a letter when a child is registered, and when sessions change.</p><button class="act main">No
                    more such letters</button>
            @endif
        </form>
    </main>
</x-base>
