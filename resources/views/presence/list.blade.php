@props(['section'])
<x-app :title="__('presence.list.title', ['name' => $section->name()])">
    <x-page-head :title="__('presence.list.title', ['name' => $section->name()])">
        <a class="pill" href="{{ route('attendance', $section) }}">{{ __('presence.session.back') }}</a>
    </x-page-head>
    <p class="quiet mt-2">{{ __('presence.list.hint') }}</p>
    <form class="narrow-form" method="post" action="{{ route('presence-lists.store', $section) }}" enctype="multipart/form-data">@csrf
        <label class="form-label" for="list">{{ __('presence.list.file') }}</label>
        <input class="form-control mb-1" type="file" id="list" name="list" accept=".csv,.xlsx" required>
        @error('list')
            <div class="invalid" role="alert">{{ $message }}</div>
        @enderror
        <div class="d-flex gap-3 my-2">
            <div><label class="form-label" for="date">{{ __('presence.list.day') }}</label>
                <x-date name="date" :value="old('date')" />
            </div>
            <div><label class="form-label" for="zone">{{ __('presence.list.zone') }}</label>
                <input class="form-control" id="zone" name="zone" value="{{ old('zone', $section->term->school->time_zone) }}">
            </div>
        </div>
        @foreach (['date', 'zone', 'day'] as $field)
            @error($field)
                <div class="invalid" role="alert">{{ $message }}</div>
            @enderror
        @endforeach
        <button class="btn btn-main">{{ __('presence.list.look') }}</button>
    </form>
</x-app>
