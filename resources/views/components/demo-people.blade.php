{{-- Who of the demo can be looked around as. groups: people by the code of their role --}}
@props(['groups'])
<section class="demo" aria-label="{{ __('account.demo.people') }}">
    <h1>{{ __('account.demo.title') }}</h1>
    <p class="quiet">{{ __('account.demo.hint') }} <span class="mono">{{ config('nomada.demo_password') }}</span></p>
    @forelse ($groups as $role => $people)
        <h2>{{ __("account.demo.roles.$role") }}</h2>
        <div class="people">
            @foreach ($people as $one)
                <form method="post" action="{{ route('sign-in.demo') }}">@csrf
                    <input type="hidden" name="person" value="{{ $one->sourced_id }}">
                    <button>{{ $one->name() }}<small>
                            <x-joined by=" · " :of="[
                                $one->year ? __('account.demo.year', ['year' => $one->year]) : '',
                                __('account.demo.clock', ['place' => Say::place($one->zone())]),
                            ]" />
                        </small></button>
                </form>
            @endforeach
        </div>
    @empty
        <p class="warn">{{ __('account.demo.none') }} <span class="mono">php artisan nomada:demo</span></p>
    @endforelse
</section>
