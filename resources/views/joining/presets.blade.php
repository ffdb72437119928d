<x-app title="Presets">
    <div class="bar">
        <h1>Presets</h1>
        <div class="sum">a named door and floor for each usual kind of session</div>
        <div class="end"><a class="pill" href="{{ route('joining') }}">Joining</a></div>
    </div>
    <div class="columns mt-2">
        <div>
            @foreach ($presets as $p)
                <section class="card-s">
                    <div class="d-flex gap-3 align-items-baseline">
                        <h2>{{ $p->name }}</h2>
                        @if (!isset(\Nomada\Core\Joining\Preset::usual()[$p->key]))
                            <a href="{{ route('presets', ['change' => $p->key]) }}">Change<span class="visually-hidden">
                                    {{ $p->name }}</span></a>
                            <form method="post" action="{{ route('presets.destroy', $p->key) }}">@csrf @method('delete')<button
                                    class="btn btn-plain py-0">Take it out<span class="visually-hidden">:
                                        {{ $p->name }}</span></button></form>
                        @endif
                    </div>
                    <p class="mb-0">{{ $p->sentence() }}</p>
                </section>
            @endforeach
        </div>
        <div>
            <section class="card-s">
                <h2>{{ $changed ? "Change $changed->name" : 'One of your own' }}</h2>
                <form id="preset" method="post" action="{{ route('presets.store') }}">@csrf
                    @if ($changed)
                        <x-drawn :of="'preset:' . $changed->key" /><input type="hidden" name="changes" value="{{ $changed->key }}">
                    @endif
                    <label class="form-label" for="preset_name">Name</label><input class="form-control mb-2" id="preset_name"
                        name="preset_name" maxlength="60" value="{{ old('preset_name', $changed?->name) }}">
                    @include('joining.door-form', [
                        'door' => $changed->door ?? new \Nomada\Core\Joining\DoorRules(),
                        'floor' => $changed->floor ?? new \Nomada\Core\Joining\Floor(),
                    ])<button class="btn btn-main mt-2">Keep it</button>
                    @if ($changed)
                        <a class="btn btn-side mt-2" href="{{ route('presets') }}">Leave it</a>
                    @endif
                </form>
            </section>
        </div>
    </div>
</x-app>
