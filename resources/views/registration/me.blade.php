@props(['page'])
<x-app :title="__('me.title')">
    <div class="phone">
        <p class="over-title mb-0">
            {{ __($page->school === '' ? 'me.clock' : 'me.clock_school', [
                'name' => $page->person->name(),
                'place' => $page->place,
                'school' => $page->school,
            ]) }}
        </p>
        <h1>{{ __('me.coming') }}</h1>
        @if ($page->isGuardian())
            <p><a class="act main" href="{{ $page->person->childrenPage() }}">{{ __('me.children') }}</a></p>
        @endif
        @if ($page->coming === [])
            <x-empty :title="__('me.none')">{{ __('me.none_hint') }}</x-empty>
        @else
            @include('registration.me.next', ['one' => $page->coming[0]])
            @include('registration.me.coming', ['rest' => array_slice($page->coming, 1)])
        @endif
        @includeWhen($page->rooms !== [], 'registration.me.rooms')
        @includeWhen($page->materials !== [], 'registration.me.materials')
        @includeWhen($page->registrations !== [], 'registration.me.registrations')
        @includeWhen($page->recordings !== [], 'registration.me.recordings')
        <h2 class="mt-4">{{ __('remind.title') }}</h2>
        @include('publishing.remind', [
            'to' => route('me.remind'),
            'label' => __('remind.own'),
            'choices' => \Nomada\Core\Post\Reminder::cases(),
            'value' => $page->person->remind,
            'empty' => __('remind.as_section'),
        ])
        <p class="quiet small mb-0">{{ __('remind.calendar_hint') }}</p>
        <h2 class="mt-4">{{ __('me.language') }}</h2>
        <x-language :of="$page->person" />
        @include('registration.me.elsewhere')
    </div>
</x-app>
