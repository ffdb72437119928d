@props(['page'])
<x-app :title="__('register.title', ['section' => $page->series->section->name()])">
    <div class="phone">
        <p class="over-title mb-0"><x-joined by=" · " :of="[$page->series->section->name(), $page->teacher]" /></p>
        <h1>{{ __("register.heads.{$page->head()}") }}</h1>
        @if ($page->once() !== null)
            @include('registration.register.once', ['one' => $page->once()])
        @elseif ($page->own !== [])
            @include('registration.register.own')
        @endif
        @if ($page->canRegister)
            @include('registration.register.form')
        @elseif ($page->once() === null && $page->shut !== null)
            <p>{{ $page->shut }}</p>
            <x-faults class="fault" :of="['name']" />
        @endif
        <dl class="helps">
            <dt>{{ __('register.next') }}</dt>
            <dd>
                @forelse ($page->when as $moment)
                    {{ $moment }}
                    <br>
                @empty
                    {{ __('register.none') }}
                @endforelse
            </dd>
            <dt>{{ __('register.zone') }}</dt>
            <dd>{{ $page->place }}</dd>
            @if ($page->left > 0)
                <dt>{{ __('register.left') }}</dt>
                <dd>{{ $page->left }}</dd>
            @endif
            @if ($page->how !== null)
                <dt>{{ __('register.how') }}</dt>
                <dd>{{ $page->how }}.</dd>
            @endif
        </dl>
    </div>
</x-app>
