@props(['last', 'did'])
<x-app :title="__('import.start.title')">
    <x-page-head :title="__('import.start.title')" :sum="__('import.start.sum')" />
    <div class="columns mt-3">
        <form method="post" action="{{ route('import.store') }}" enctype="multipart/form-data">@csrf
            <label class="form-label" for="files">{{ __('import.start.files') }}</label>
            <input class="form-control mb-1" type="file" id="files" name="files[]" multiple required accept=".zip,.csv,.ics">
            <x-faults class="mb-2" :of="['files', 'files.*', 'file']" />
            <button class="btn btn-main mt-2">{{ __('import.start.do') }}</button>
        </form>
        <div>
            @if ($last)
                <x-card :title="__('import.last')">
                    <p class="mb-1">{{ $did }}
                        <span class="quiet">· {{ $last->person?->shortName() ?? __('import.import') }}</span>
                    </p>
                    <x-faults class="mb-2" :of="['import', 'change']" />
                    <x-act :to="route('import.undo', $last->id)" :do="__('import.back')" />
                </x-card>
            @endif
            <x-card :title="__('import.start.read')">
                <p><a href="{{ route('begin.sample') }}">{{ __('begin.files.sample') }}</a></p>
                <dl class="pairs">
                    @foreach (__('import.start.kinds') as $file => $words)
                        <dt>{{ $file }}</dt>
                        <dd>{{ $words }}</dd>
                    @endforeach
                </dl>
                <p class="quiet mt-2">{{ __('import.start.again') }}</p>
            </x-card>
        </div>
    </div>
</x-app>
