@echo off
rem Starts Steady Cog. The first start builds it; later ones run straight from the built files.
setlocal enabledelayedexpansion
set "home=%~dp0"
set "dist=%home%app\target\dist"
set "jdk="

for %%J in ("%JAVA_HOME%") do call :try "%%~J"
for /d %%J in ("%ProgramFiles%\Eclipse Adoptium\*" "%ProgramFiles%\Java\*" "%ProgramFiles%\Microsoft\jdk*" "%ProgramFiles%\Zulu\*" "%USERPROFILE%\.jdks\*") do call :try "%%~J"
if not defined jdk (
  echo steady-cog: no JDK 25 or newer found: winget install EclipseAdoptium.Temurin.25.JDK, or set JAVA_HOME to one 1>&2
  exit /b 2
)

if not exist "%dist%\built" (
  where mvn >nul 2>nul
  if errorlevel 1 (
    echo steady-cog: not built yet and Maven is not found: install Maven 3.8 or newer 1>&2
    exit /b 2
  )
  echo steady-cog: building, once ... 1>&2
  pushd "%home%"
  set "JAVA_HOME=!jdk!"
  call mvn -B -q -DskipTests -pl app -am package 1>&2
  if errorlevel 1 (
    popd
    echo steady-cog: the build failed, see above 1>&2
    exit /b 2
  )
  popd
  type nul >"%dist%\built"
)

set "window=no"
if "%~1"=="" set "window=yes"
for %%C in (open demo shots) do if "%~1"=="%%C" set "window=yes"
for %%A in (%*) do if /i "%%~xA"==".png" if "%~1"=="export" set "window=yes"
set "first="
if "%window%"=="no" if "%~2"=="" if exist "%~1" (
  set "window=yes"
  set "first=open"
)

if "%window%"=="yes" (
  "%jdk%\bin\java" -Xmx1g -XX:+UseSerialGC --module-path "%dist%\lib\window" --add-modules javafx.controls --enable-native-access=javafx.graphics -Xms32m -Xmn24m -XX:MinHeapFreeRatio=15 -XX:MaxHeapFreeRatio=30 -cp "%dist%\lib\*;%dist%\lib\app\*" steadycog.cli.SteadyCog %first% %*
) else (
  "%jdk%\bin\java" -Xmx1g -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -cp "%dist%\lib\*" steadycog.cli.SteadyCog %*
)
exit /b %errorlevel%

:try
if defined jdk exit /b 0
if not exist "%~1\bin\javac.exe" exit /b 0
for /f "tokens=2 delims==" %%V in ('findstr /b "JAVA_VERSION=" "%~1\release" 2^>nul') do (
  for /f "tokens=1 delims=." %%M in ("%%~V") do if %%M GEQ 25 set "jdk=%~1"
)
exit /b 0
