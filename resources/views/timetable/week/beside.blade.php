{{-- The session that is open, beside the week --}}
<aside>
    @can('coordinate')
        @include('timetable.panel', [
            'panel' => $page->panel,
            'close' => route('timetable', $page->address()),
            'narrow' => true,
            'back' => $page->back(),
        ])
    @else
        <section class="one is-narrow">
            <div class="one-head">
                <h2><a href="{{ route('section', $page->panel->section) }}">{{ $page->panel->section->name() }}</a></h2>
                <span class="quiet">{{ Say::day($page->panel->day) }}, {{ $page->panel->start }}–{{ $page->panel->end }}</span>
            </div>
        </section>
    @endcan
</aside>
