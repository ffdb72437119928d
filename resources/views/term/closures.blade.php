@props(['page'])
<x-app :title="__('term.read.title')">
    <x-page-head :title="__('term.read.in', ['file' => $page->name])">
        <x-slot:sum>{{ trans_choice('term.read.new', $page->new()) }} ·
            <span @class(['bad' => $page->faults !== []])>{{ trans_choice('import.faults', count($page->faults)) }}</span></x-slot:sum>
    </x-page-head>
    @if ($page->faults !== [])
        <x-read-faults :of="$page->faults" />
    @endif
    @if ($page->rows === [])
        <x-empty :title="__('term.read.none')"><a href="{{ route('term') }}">{{ __('term.read.other') }}</a></x-empty>
    @else
        <form method="post" action="{{ route('closures.take', $page->key) }}">@csrf
            <table class="table-plain">
                <thead>
                    <tr>
                        <th scope="col">{{ __('term.read.why') }}</th>
                        <th scope="col">{{ __('term.read.from') }}</th>
                        <th scope="col">{{ __('term.read.to') }}</th>
                        <th scope="col">{{ __('term.read.falls') }}</th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($page->rows as $row)
                        <x-term.closure-row :row="$row" />
                    @endforeach
                </tbody>
            </table>
            <div class="mt-3">
                @if ($page->new() > 0)
                    <button class="btn btn-main">{{ __('term.read.take') }}</button>
                @endif
                <a class="btn btn-side" href="{{ route('term') }}">{{ __('term.read.back') }}</a>
            </div>
        </form>
    @endif
</x-app>
