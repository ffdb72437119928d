{{-- Who of the demo can be looked around as. groups: people by the words of their role --}}
@props(['groups'])
<section class="demo" aria-label="Demo people">
    <h1>Or look around as</h1>
    <p class="quiet">The demo school. All people are invented; their password is <span
            class="mono">{{ config('nomada.demo_password') }}</span>.</p>
    @forelse (array_filter($groups, fn ($g) => $g->isNotEmpty()) as $role => $people)
        <h2>{{ $role }}</h2>
        <div class="people">
            @foreach ($people as $one)
                <form method="post" action="{{ route('sign-in.demo') }}">@csrf<input type="hidden" name="person"
                        value="{{ $one->sourced_id }}">
                    <button>{{ $one->name() }}<small>{{ $one->year === '' ? '' : "Year $one->year · " }}{{ $one->zone()->place() }}
                            time</small></button>
                </form>
            @endforeach
        </div>
    @empty
        <p class="warn">No school is loaded yet. Load the demo school: <span class="mono">php artisan nomada:demo</span></p>
    @endforelse
</section>
