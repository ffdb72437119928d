@props(['page'])
<x-app :title="__('requests.title')">
    <div class="bar">
        <h1>{{ __('requests.title') }}</h1>
        <div class="sum">{{ trans_choice('requests.sum', count($page->open)) }}</div>
        @if ($page->mayDecide)
            <nav class="end" aria-label="{{ __('requests.title') }}">
                <x-pill :to="route('rights')">{{ __('rights.title') }}</x-pill>
            </nav>
        @endif
    </div>
    <x-faults class="fault" :of="['request', 'answer', 'session', 'move_day', 'move_start', 'move_end', 'makes_up', 'reason', 'teacher']" />
    @forelse ($page->open as $one)
        @include('requests.open', ['one' => $one])
    @empty
        <x-empty :title="__('requests.none')">{{ __($page->mayDecide ? 'requests.none_hint' : 'requests.none_own') }}</x-empty>
    @endforelse
    @if ($page->decided !== [])
        <h2 class="mt-4">{{ __('requests.decided') }}</h2>
        <table class="table-plain">
            <thead>
                <tr>
                    @foreach (__('requests.columns') as $words)
                        <th scope="col">{{ $words }}</th>
                    @endforeach
                </tr>
            </thead>
            <tbody>
                @foreach ($page->decided as $one)
                    <tr>
                        <td><a href="{{ $one->url }}">{{ $one->section }}</a></td>
                        <td>{{ $one->what }}</td>
                        <td>{{ $one->by }}</td>
                        <td>{{ __("requests.states.{$one->state->value}") }}@if ($one->answer !== '')
                                <small>{{ $one->answer }}</small>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </tbody>
        </table>
    @endif
</x-app>
