<?php

return [
    'there' => 'Ya existe un centro. La primera página es para un centro nuevo y vacío. Para añadir datos a este, '
        .'importa archivos aquí.',
    'title' => 'Configura tu centro',
    'sum' => 'No se guarda nada hasta que hayas visto la vista previa.',
    'hint' => 'Bastan tres cosas para empezar. Los horarios, los enlaces y las inscripciones vienen después en sus '
        .'páginas, y lo que falte se puede añadir más tarde.',
    'steps' => [
        'school' => '1 · El centro y su trimestre',
        'sections' => '2 · Grupos y sus docentes',
        'students' => '3 · Estudiantes',
    ],
    'name' => 'Nombre del centro',
    'zone' => 'Zona horaria del centro',
    'zone_hint' => 'Por ejemplo, Europe/Madrid. Todas las horas usan este reloj.',
    'term' => 'Nombre del trimestre',
    'first' => 'Primer día',
    'last' => 'Último día',
    'sections_hint' => 'Un grupo por línea, como se copia de una hoja de cálculo: título, curso, nombre y apellidos '
        .'del docente, correo.',
    'sections_example' => "Ciencias del Mar, 8, Nadir, Haddad, n.haddad@school.example\nMatemáticas, 8, Inés, Belmar, "
        .'i.belmar@school.example',
    'students_hint' => 'Un estudiante por línea: nombre, apellidos, correo, curso. Para matricularlo solo en algunos '
        .'grupos, añade sus títulos separados por |. También se puede hacer más tarde.',
    'students_example' => "Galia, Zabalo, galia@school.example, 8\n".
        'Rui, Mestre, rui@school.example, 8, Ciencias del Mar',
    'go' => 'Vista previa',
    'files' => [
        'title' => 'O importa archivos',
        'hint' => 'Para un centro grande, exporta OneRoster 1.1 desde su propio sistema y añade los días no lectivos '
            .'y el horario.',
        'import' => 'Subir archivos…',
        'sample' => 'Carpeta de ejemplo para rellenar (.zip)',
        'sample_hint' => 'Cada archivo tiene dos filas de ejemplo, y sus columnas están explicadas.',
    ],
    'demo' => [
        'title' => 'O prueba antes la demostración',
        'hint' => 'El centro de demostración funciona junto a este, con su propia base de datos y sus puertos: mira '
            .'el README, “Two copies side by side”.',
    ],
    'faults' => [
        'name' => 'Escribe el nombre del centro.',
        'zone' => 'Elige una zona horaria de la lista, por ejemplo Europe/Madrid.',
        'term' => 'Escribe el nombre del trimestre.',
        'term_first' => 'Escribe el primer día del trimestre, por ejemplo 11 ene.',
        'term_last' => 'Escribe el último día del trimestre, por ejemplo 23 abr.',
        'sections' => 'Escribe al menos un grupo, uno por línea.',
        'students' => 'Es más de lo que se puede escribir aquí. Sube los estudiantes como archivos.',
    ],
    'columns' => "Qué contienen los archivos de esta carpeta\nSustituye las filas de ejemplo por las tuyas, comprime "
        .'la carpeta en zip y súbela en la página Importar. Súbela otra vez cuando algo cambie: las filas se reconocen '
        ."por su sourcedId.\n\norgs.csv          el centro: sourcedId (un código propio que no cambia), name, type "
        ."(school), metadata.timeZone\nacademicSessions  el trimestre: sourcedId, title, type (term), startDate, "
        ."endDate (2027-01-11)\ncourses.csv       las materias: sourcedId, title, courseCode\nclasses.csv       los "
        ."grupos: sourcedId, title, grades (el curso), courseSourcedId, schoolSourcedId, termSourcedIds\nusers.csv     "
        .'    las personas: sourcedId, role (student, teacher, guardian, administrator), givenName, familyName, email, '
        ."grades, agentSourcedIds (familias) y, si se quiere, metadata.timeZone y metadata.language (es)\n"
        .'enrollments.csv   quién está en qué grupo: sourcedId, classSourcedId, userSourcedId, role (student, '
        ."teacher), primary (true para su docente), beginDate, endDate (vacío para todo el trimestre)\nclosures.ics    "
        ."  días no lectivos, un evento cada uno; el resumen es el motivo\ntimetable.csv     una serie por fila: "
        ."class_sourced_id, title, dtstart (2027-01-12T10:00), minutes, tzid, rrule\n\nUna fila con el estado "
        ."tobedeleted no se tiene en cuenta.\n",
];
