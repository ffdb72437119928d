@props(['page'])
<x-app :title="__('events.title')">
    <x-page-head :title="Str::limit($page->name, 40)">
        <x-slot:sum>{{ trans_choice('events.sum', $page->count(), ['matched' => $page->matched()]) }} ·
            <span @class(['bad' => $page->faults !== []])>{{ trans_choice('import.faults', count($page->faults)) }}</span>
            {{ $page->teacher === null ? '' : '· ' . __('events.whose', ['name' => $page->teacher->name()]) }}</x-slot:sum>
    </x-page-head>
    @if ($page->faults !== [])
        <x-read-faults :of="$page->faults" />
    @endif
    @if ($page->rows === [])
        <x-empty :title="__('events.none')"><a href="{{ route('events') }}">{{ __('events.other') }}</a></x-empty>
    @else
        <form method="post" action="{{ route('events.take', $page->key) }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        @foreach (['event', 'when', 'makes', 'as'] as $column)
                            <th scope="col">{{ __("events.columns.$column") }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->rows as $n => $row)
                        @include('timetable.events-preview.row')
                    @endforeach
                </tbody>
            </table>
            @if ($page->more > 0)
                <p class="quiet">{{ trans_choice('events.more', $page->more) }}</p>
            @endif
            <div class="mt-3">
                <button class="btn btn-main">{{ __('events.take') }}</button>
                <a class="btn btn-side" href="{{ route('events') }}">{{ __('events.other') }}</a>
            </div>
        </form>
    @endif
</x-app>
