<x-base title="Sign in">
    <header class="mast"><a class="name" href="/sign-in"><x-mark />Nomada</a></header>
    <main id="main" tabindex="-1">
        <div class="sign-in">
            <form method="post" action="{{ route('sign-in.store') }}" novalidate>
                @csrf
                <h1>Sign in</h1>
                <div class="mb-3"><label class="form-label" for="email">Address</label>
                    <input class="form-control" id="email" name="email" type="email" autocomplete="username"
                        value="{{ old('email') }}" required @error('email') aria-invalid="true" aria-describedby="email-fault" @enderror>
                    @error('email')
                        <div class="invalid" id="email-fault">{{ $message }}</div>
                    @enderror
                </div>
                <div class="mb-3"><label class="form-label" for="password">Password</label>
                    <input class="form-control" id="password" name="password" type="password" autocomplete="current-password" required
                        @error('password') aria-invalid="true" aria-describedby="password-fault" @enderror>
                    @error('password')
                        <div class="invalid" id="password-fault">{{ $message }}</div>
                    @enderror
                </div>
                <div class="form-check mb-3"><input class="form-check-input" type="checkbox" id="remember" name="remember"
                        value="1"><label class="form-check-label" for="remember">Keep me signed in on this device</label></div>
                <button class="btn btn-main">Sign in</button>
            </form>
            @if ($groups !== [])
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
                                    <button>{{ $one->name() }}<small>{{ $one->year === '' ? '' : "Year $one->year · " }}{{ $one->zone(
                                        )->place() }}
                                            time</small></button>
                                </form>
                            @endforeach
                        </div>
                    @empty
                        <p class="warn">No school is loaded yet. Load the demo school: <span class="mono">php artisan nomada:demo</span>
                        </p>
                    @endforelse
                </section>
            @endif
        </div>
    </main>
</x-base>
