{{-- What is said: cards, words of every tone, acts --}}
<x-card :title="__('house.card')" :beside="__('house.beside')">
    <p class="said">{{ __('house.said') }}</p>
    <p class="warn">{{ __('house.warn') }}</p>
    <p class="fault">{{ __('house.fault') }}</p>
    <p>
        @foreach (['good', 'ok', 'todo', 'bad', 'quiet'] as $tone)
            <span class="{{ $tone }}">{{ $tone }}</span>
        @endforeach
    </p>
    <p><x-joined by=" · " :of="[__('house.one'), '', __('house.another')]" /></p>
    <p><x-some :of="['8', '9', '10', '11']" :most="2" by=", " /></p>
    @foreach (['btn-main', 'btn-side', 'btn-wrong', 'btn-plain'] as $class)
        <button class="btn {{ $class }}" type="button">{{ __('house.do') }}</button>
    @endforeach
    <button class="btn btn-main" type="button" disabled>{{ __('house.cannot') }}</button>
    <x-copy :text="__('house.one')" />
    <x-pairs :of="[__('house.one') => __('house.another'), __('house.another') => ['1', '2']]" />
</x-card>
<x-empty :title="__('house.empty')">{{ __('house.empty_hint') }}</x-empty>
